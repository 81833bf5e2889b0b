package osmerin.app;

import org.junit.platform.suite.api.IncludeTags;
import org.junit.platform.suite.api.SelectPackages;
import org.junit.platform.suite.api.Suite;

/**
 * All tests on the demo data in one process, since making that data takes half a minute. By
 * themselves they are left out of the build, in its pom.xml.
 */
@Suite
@SelectPackages("osmerin.app")
@IncludeTags("demo")
class DemoDataTest {}
