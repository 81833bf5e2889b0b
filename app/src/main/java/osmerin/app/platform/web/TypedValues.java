package osmerin.app.platform.web;

import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.TypeDescriptor;
import org.springframework.core.convert.converter.ConditionalGenericConverter;
import org.springframework.core.convert.converter.Converter;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** How lists and months of addresses and forms are read, on every route. */
@Configuration
class TypedValues implements WebMvcConfigurer {
  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverter(new MonthOfPeople());
    registry.addConverter(new WithoutBlanks((ConversionService) registry));
  }

  /** A month of years that people plan in. */
  private static final class MonthOfPeople implements Converter<String, YearMonth> {
    @Override
    public @Nullable YearMonth convert(String text) {
      try {
        YearMonth month = text.isBlank() ? null : YearMonth.parse(text.strip());
        if (month != null && (month.getYear() < 1900 || month.getYear() > 9999)) {
          throw new NotFoundException("month", text);
        }
        return month;
      } catch (DateTimeParseException e) {
        throw new NotFoundException("month", text);
      }
    }
  }

  /** A list of numbers or of choices has no gaps: what was sent without a value is left out. */
  private static final class WithoutBlanks implements ConditionalGenericConverter {
    private final ConversionService values;

    WithoutBlanks(ConversionService values) {
      this.values = values;
    }

    @Override
    public Set<ConvertiblePair> getConvertibleTypes() {
      return Set.of(
          new ConvertiblePair(String[].class, List.class),
          new ConvertiblePair(String.class, List.class));
    }

    @Override
    public boolean matches(TypeDescriptor from, TypeDescriptor to) {
      TypeDescriptor element = to.getElementTypeDescriptor();
      return element != null && element.getType() != String.class;
    }

    /** One field alone may hold several, separated by commas. */
    private static String[] values(@Nullable Object source) {
      if (source instanceof String one) {
        return one.split(",");
      }
      return source == null ? new String[0] : (String[]) source;
    }

    @Override
    public Object convert(@Nullable Object source, TypeDescriptor from, TypeDescriptor to) {
      List<Object> list = new ArrayList<>();
      TypeDescriptor text = TypeDescriptor.valueOf(String.class);
      for (String value : values(source)) {
        if (!value.isBlank()) {
          list.add(values.convert(value, text, to.getElementTypeDescriptor()));
        }
      }
      return list;
    }
  }
}
