package org.oblume.server;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "org.oblume.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule featuresHaveNoCycles =
            slices().matching("org.oblume.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule entitiesStayInTheirFeature =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule repositoriesStayInTheirFeature =
            classes().that().areAssignableTo(Repository.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule controllersAskServices = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);

    @ArchTest
    static final ArchRule supportKnowsNoFeature = noClasses()
            .that()
            .resideInAPackage("..support..")
            .should()
            .dependOnClassesThat(resideInAPackage("org.oblume.server..").and(not(resideInAPackage("..support.."))));

    /** In the OpenAPI document two records of one simple name would silently be one. */
    @ArchTest
    static void recordsOnTheWireHaveNamesOfTheirOwn(JavaClasses all) {
        Map<String, List<String>> byName = all.stream()
                .filter(JavaClass::isRecord)
                .filter(c -> !c.getModifiers().contains(JavaModifier.PRIVATE))
                .filter(c -> c.getPackageName().startsWith("org.oblume.server"))
                .collect(Collectors.groupingBy(
                        JavaClass::getSimpleName, Collectors.mapping(JavaClass::getName, Collectors.toList())));
        assertThat(byName.values().stream().filter(names -> names.size() > 1)).isEmpty();
    }
}
