package osmerin.app.platform;

import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock, and the mappers. */
@Configuration
@MapperScan(basePackages = "osmerin.app", annotationClass = Mapper.class)
class PlatformConfig {
  /** The only place that reads the machine's time. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
