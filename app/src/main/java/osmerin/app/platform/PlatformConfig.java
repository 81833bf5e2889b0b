package osmerin.app.platform;

import java.time.Clock;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.UrlHandlerFilter;

/** The clock, and the mappers. */
@Configuration
@MapperScan(basePackages = "osmerin.app", annotationClass = Mapper.class)
class PlatformConfig {
  /** An address typed with a slash at its end leads to the page without it. */
  @Bean
  FilterRegistrationBean<UrlHandlerFilter> withoutTrailingSlash() {
    UrlHandlerFilter filter =
        UrlHandlerFilter.trailingSlashHandler("/**")
            .redirect(HttpStatus.PERMANENT_REDIRECT)
            .build();
    FilterRegistrationBean<UrlHandlerFilter> registered = new FilterRegistrationBean<>(filter);
    registered.setOrder(Ordered.HIGHEST_PRECEDENCE + 1);
    return registered;
  }

  /** The only place that reads the machine's time. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
