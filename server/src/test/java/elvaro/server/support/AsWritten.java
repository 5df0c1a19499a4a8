package elvaro.server.support;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;

/** The classes somebody wrote: neither tests nor what packaging adds beside them. */
public final class AsWritten implements ImportOption {
    private final ImportOption noTests = new DoNotIncludeTests();

    @Override
    public boolean includes(Location location) {
        return noTests.includes(location) && !location.contains("__") && !location.contains("$$");
    }
}
