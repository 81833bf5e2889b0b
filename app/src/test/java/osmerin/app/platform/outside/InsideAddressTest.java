package osmerin.app.platform.outside;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InsideAddressTest {
  @ParameterizedTest
  @CsvSource({
    "127.0.0.1, true",
    "192.168.1.1, true",
    "172.16.0.1, true",
    "100.64.0.1, true",
    "0.0.0.0, true",
    "fc00::1, true",
    "fe80::1, true",
    "::1, true",
    "192.0.2.7, true",
    "198.51.100.7, true",
    "203.0.113.5, true",
    "192.88.99.1, true",
    "2001:db8::1, true",
    "203.0.114.5, false",
    "100.128.0.1, false",
    "2001:db9::1, false",
  })
  void whichAddressesAreWithin(String address, boolean inside) throws Exception {
    assertThat(InsideAddress.isInside(InetAddress.getByName(address))).isEqualTo(inside);
  }
}
