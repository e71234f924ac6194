package org.oblume.core.say;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers and amounts as a crew calls them out. */
class AmountsTest {

    private static final String[] ONES = {
        "",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen"
    };
    private static final String[] TENS = {
        "", "", "twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"
    };

    @ParameterizedTest
    @CsvSource({
        "45,BARE,45",
        "1.5,BARE,1.5",
        "forty five,BARE,45",
        "one hundred and one,BARE,101",
        "two hundred and ten,BARE,210",
        "thirty two hundred,BARE,3200",
        "forty three fifty,BARE,4350",
        "twelve eighty,BARE,1280",
        "three thousand two hundred,BARE,3200",
        "one oh one,BARE,101",
        "3.2k,KELVIN,3200",
        "point three,BARE,0.3",
        "point oh oh three,BARE,0.003",
        "a half,BARE,0.5",
        "two thirds,BARE,0.66667",
        "three quarters,BARE,0.75",
        "2 1/2,BARE,2.5",
        "½,BARE,0.5",
        "two and a half,BARE,2.5",
        "a stop,STOPS,1",
        "half a stop,STOPS,0.5",
        "a stop and a half,STOPS,1.5",
        "a stop and two thirds,STOPS,1.66667",
        "a third of a stop,STOPS,0.33333",
        "a couple of stops,STOPS,2",
        "30 cm,METRES,0.3",
        "half a metre,METRES,0.5",
        "a metre eighty,METRES,1.8",
        "a foot,METRES,0.3048",
        "two foot six,METRES,0.762",
        "5'6\",METRES,1.6764",
        "five percent,PERCENT,5",
        "half a percent,PERCENT,0.5",
        "eight degrees,DEGREES,8",
        "300 kelvin,KELVIN,300",
        "20 mired,MIRED,20",
        "a touch,TOUCH,0",
        "a hair,HAIR,0",
        "a lot,LOTS,0"
    })
    void anAmountIsUnderstoodHoweverItIsSaid(String said, Amount.Unit unit, double value) {
        Words words = Words.of(said);
        assertThat(Figures.amount(words)).hasValueSatisfying(amount -> {
            assertThat(amount.unit()).isEqualTo(unit);
            assertThat(amount.value()).isCloseTo(value, within(1e-4));
        });
        assertThat(words.done()).as("all of it was taken").isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"key", "in", "and a half", "up", "percent", ""})
    void whatIsNoAmountIsLeft(String said) {
        Words words = Words.of(said);
        assertThat(Figures.amount(words)).isEmpty();
        assertThat(words.at()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"30 and a half cto,30", "4300 and half grid,4300", "two and one,2", "a foot and up,0.3048"})
    void whatFollowsAnAmountIsNotDrawnIntoIt(String said, double value) {
        assertThat(Figures.amount(Words.of(said)).orElseThrow().value()).isCloseTo(value, within(1e-9));
    }

    static IntStream numbers() {
        Random random = new Random(7);
        return IntStream.concat(IntStream.rangeClosed(1, 120), random.ints(300, 121, 10_000));
    }

    /** Every whole number is read back from its words. */
    @ParameterizedTest
    @MethodSource("numbers")
    void aNumberIsWhatItsWordsSay(int number) {
        assertThat(Figures.number(Words.of(inWords(number))).orElseThrow().value())
                .isEqualTo(number);
        assertThat(Figures.number(Words.of(String.format(Locale.ROOT, "%d", number)))
                        .orElseThrow()
                        .value())
                .isEqualTo(number);
    }

    private static String inWords(int number) {
        StringBuilder words = new StringBuilder();
        int rest = number;
        if (rest >= 1000) {
            words.append(ONES[rest / 1000]).append(" thousand ");
            rest %= 1000;
        }
        if (rest >= 100) {
            words.append(ONES[rest / 100]).append(" hundred ");
            rest %= 100;
        }
        if (words.length() > 0 && rest > 0) {
            words.append("and ");
        }
        words.append(rest < 20 ? ONES[rest] : (TENS[rest / 10] + " " + ONES[rest % 10]));
        return words.toString().strip();
    }
}
