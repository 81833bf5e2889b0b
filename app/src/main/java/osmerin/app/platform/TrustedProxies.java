package osmerin.app.platform;

import java.util.Arrays;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * What a proxy forwards of the client's address, scheme and host counts only when the request comes
 * from a proxy that the operator named; from anybody else it is a claim.
 */
@Component
class TrustedProxies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final String addresses;

  TrustedProxies(@Value("${osmerin.proxy}") String addresses) {
    this.addresses = addresses;
  }

  @Override
  public void customize(TomcatServletWebServerFactory server) {
    String named =
        Arrays.stream(addresses.split(","))
            .map(String::strip)
            .filter(address -> !address.isEmpty())
            .map(Pattern::quote)
            .collect(Collectors.joining("|"));
    if (!named.isEmpty()) {
      RemoteIpValve valve = new RemoteIpValve();
      valve.setInternalProxies(named);
      valve.setRemoteIpHeader("X-Forwarded-For");
      valve.setProtocolHeader("X-Forwarded-Proto");
      valve.setHostHeader("X-Forwarded-Host");
      valve.setPortHeader("X-Forwarded-Port");
      server.addEngineValves(valve);
    }
  }
}
