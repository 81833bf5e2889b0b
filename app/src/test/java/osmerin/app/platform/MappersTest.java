package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.util.Collection;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.support.ApplicationTest;

class MappersTest extends ApplicationTest {
  @Autowired private SqlSessionFactory sessions;

  @Test
  void everyMethodOfEveryMapperHasItsStatement() {
    Configuration configuration = sessions.getConfiguration();
    Collection<Class<?>> mappers = configuration.getMapperRegistry().getMappers();
    assertThat(mappers).hasSizeGreaterThan(8);
    for (Class<?> mapper : mappers) {
      for (Method method : mapper.getDeclaredMethods()) {
        String statement = mapper.getName() + "." + method.getName();
        assertThat(configuration.hasStatement(statement)).as(statement).isTrue();
      }
    }
  }
}
