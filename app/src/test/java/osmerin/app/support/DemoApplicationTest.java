package osmerin.app.support;

import org.junit.jupiter.api.Tag;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestPropertySource;

/** A test on the demo data; all such tests share one application with a database of its own. */
@Tag("demo")
@TestPropertySource(properties = "osmerin.demo=true")
@AutoConfigureMockMvc
public abstract class DemoApplicationTest extends ApplicationTest {
  protected static final String DEMO_PASSWORD = "throw-glaze-fire";
  private static final String DATABASE = TestDatabase.empty("osmerin_demo_test");

  @DynamicPropertySource
  static void useAnotherDatabase(DynamicPropertyRegistry registry) {
    // Set on the pool, since the base class sets the plain property.
    registry.add("spring.datasource.hikari.jdbc-url", () -> DATABASE);
  }
}
