package org.oblume.server.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;

import jakarta.persistence.EntityManagerFactory;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.oblume.core.filter.StockKind;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.CommitCaches;
import org.oblume.server.support.RecordJson;
import org.springframework.beans.factory.support.StaticListableBeanFactory;

class StockFileTest {

    private static final String HEAD = "name,kind,stops,mired,duv,softness,reflectance,red,green,blue,heat\n";

    @Test
    void theShippedStockHasAllThatACrewReachesFor(@TempDir Path empty) {
        List<Kit.Stock> stock = kit(empty).stock();
        assertThat(stock)
                .extracting(Kit.Stock::name)
                .doesNotHaveDuplicates()
                .contains(
                        "Full CTO",
                        "Eighth CTB",
                        "Quarter CTS",
                        "Half plus green",
                        "Full minus green",
                        "ND 1.2",
                        "Double net",
                        "Light frost",
                        "Full silk",
                        "Full grid cloth",
                        "Muslin, bleached",
                        "Muslin, unbleached",
                        "White bounce",
                        "Silver bounce",
                        "Gold bounce",
                        "Black cloth");
        assertThat(stock)
                .filteredOn(s -> s.kind() == StockKind.COLOUR)
                .hasSizeGreaterThanOrEqualTo(12)
                .allSatisfy(s -> assertThat(s.gel()).isNotNull());
        assertThat(stock).filteredOn(s -> s.kind() == StockKind.DIFFUSION).allSatisfy(s -> assertThat(s.heat())
                .isNotBlank());
    }

    @Test
    void aCrewsOwnFigureTakesThePlaceOfTheShippedOne(@TempDir Path data) throws IOException {
        Files.writeString(
                data.resolve("stock.csv"),
                HEAD + "Quarter CTO,CORRECTION,0.33,45,0,0,,,,,\nOld silk,DIFFUSION,1.9,9,0,0.8,,,,,\n");
        List<Kit.Stock> stock = kit(data).stock();
        assertThat(stock)
                .filteredOn(s -> s.name().equals("Quarter CTO"))
                .singleElement()
                .satisfies(s -> assertThat(s.miredShift()).isEqualTo(45));
        assertThat(stock).extracting(Kit.Stock::name).contains("Old silk");
    }

    @Test
    void aFileThatIsWrongIsLeftOutWholeAndSaysWhatToMend(@TempDir Path data) throws IOException {
        Files.writeString(
                data.resolve("stock.csv"), HEAD + "Old silk,DIFFUSION,1.9,9,0,0.8,,,,,\nBad,NET,-1,0,0,0,,,,,\n");
        Kit kit = kit(data);
        assertThat(kit.problem())
                .startsWith("Your own stock is not used. stock.csv, line 3:")
                .contains("0 or more", "Mend");
        assertThat(kit.stock())
                .extracting(Kit.Stock::name)
                .contains("Quarter CTO")
                .doesNotContain("Old silk");
        Files.writeString(data.resolve("stock.csv"), HEAD + "\"Old silk,DIFFUSION");
        assertThat(kit(data).problem()).contains("not CSV that can be read");
        Files.writeString(data.resolve("stock.csv"), "name,stops\nOld silk,1\n");
        assertThat(kit(data).problem()).contains("line 2").contains("kind");
    }

    @Test
    void aWrongLineIsNamedWithWhatToPutThere() {
        assertThatThrownBy(
                        () -> StockFile.read(new StringReader(HEAD + "Good,NET,1,0,0,0,,,,,\nBad,NET,-1,0,0,0,,,,,\n")))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("line 3")
                .hasMessageContaining("0 or more");
        assertThatThrownBy(() -> StockFile.read(new StringReader(HEAD + "Bad,CURTAIN,1,0,0,0,,,,,\n")))
                .hasMessageContaining("line 2")
                .hasMessageContaining("DIFFUSION");
        assertThatThrownBy(() -> StockFile.read(new StringReader(HEAD + "Bad,BOUNCE,0,0,0,1,,,,,\n")))
                .hasMessageContaining("needs a reflectance");
    }

    private static CommitCaches noDatabase() {
        return new CommitCaches(new StaticListableBeanFactory().getBeanProvider(EntityManagerFactory.class));
    }

    private static Kit kit(Path data) {
        return new KitService(
                        data,
                        mock(OwnFixtureRepository.class),
                        mock(OwnStockRepository.class),
                        mock(RecordJson.class),
                        noDatabase())
                .kit();
    }
}
