package osmerin.app.platform.mail;

import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Where people reach this application, for links in mail. It is set, not taken from a request,
 * since a request can claim any host.
 */
@Component
class PublicAddress {
  private final Environment environment;

  PublicAddress(Environment environment) {
    this.environment = environment;
  }

  /** The whole address of a path that begins with a slash. */
  String of(String path) {
    String set = environment.getProperty("osmerin.public-address", "");
    String base =
        set.isBlank()
            ? "http://127.0.0.1:"
                + environment.getProperty(
                    "local.server.port", environment.getProperty("server.port", "8080"))
            : set.replaceFirst("/$", "");
    return base + path;
  }
}
