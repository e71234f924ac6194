package org.oblume.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.oblume.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule coreKnowsOnlyTheJdkTheSunsPositionAndLinearAlgebra = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "org.oblume.core..",
                    "java.lang..",
                    "java.util..",
                    "java.time",
                    "java.math",
                    "java.text",
                    "java.nio",
                    "java.nio.charset",
                    "org.jspecify.annotations",
                    "org.shredzone.commons.suncalc..",
                    "org.hipparchus..");

    @ArchTest
    static final ArchRule packagesOfCoreHaveNoCycles =
            slices().matching("org.oblume.core.(*)..").should().beFreeOfCycles();
}
