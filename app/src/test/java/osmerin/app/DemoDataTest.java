package osmerin.app;

import org.junit.platform.suite.api.IncludeTags;
import org.junit.platform.suite.api.SelectPackages;
import org.junit.platform.suite.api.Suite;

/**
 * Runs all tests on the demo data in one process, since making that data takes half a minute. The
 * build runs only this class; app/pom.xml excludes the others by name.
 */
@Suite
@SelectPackages("osmerin.app")
@IncludeTags("demo")
class DemoDataTest {}
