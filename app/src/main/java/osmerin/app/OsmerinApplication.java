package osmerin.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication
public class OsmerinApplication {
  public static void main(String[] args) {
    SpringApplication.run(OsmerinApplication.class, args);
  }
}
