package osmerin.app.platform.web;

import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;
import osmerin.core.article.ReferenceNumber;

/** Reference numbers in addresses. */
@Component
class ReferenceNumbers implements Converter<String, ReferenceNumber> {
  @Override
  public ReferenceNumber convert(String text) {
    return ReferenceNumber.read(text).orElseThrow(() -> new NotFoundException("article", text));
  }
}
