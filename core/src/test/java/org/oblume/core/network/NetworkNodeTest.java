package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.units.Refusal;

class NetworkNodeTest {

    private static Ipv4 ip(String text) {
        return Ipv4.parse("address", text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"10.0.0", "10.0.0.256", "ten", "10.0.0.1.2", "", "10.0.0.-1"})
    void whatIsNotAnAddressIsRefusedOnItsField(String text) {
        assertThatThrownBy(() -> ip(text))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("such as 10.0.0.21")
                .extracting(r -> ((Refusal) r).field())
                .isEqualTo("address");
    }

    @Test
    void addressesAreReadAndPrinted() {
        Random random = new Random(2);
        for (int i = 0; i < 50; i++) {
            Ipv4 any = new Ipv4(random.nextInt());
            assertThat(ip(any.print())).isEqualTo(any);
        }
        assertThat(ip(" 192.168.1.20 ").print()).isEqualTo("192.168.1.20");
    }

    @Test
    void aMaskIsOnesThenZeros() {
        assertThat(List.of("255.255.255.0", "255.0.0.0", "255.255.254.0", "255.255.255.252"))
                .allMatch(m -> ip(m).isMask());
        assertThat(List.of("255.0.255.0", "0.0.0.0", "255.255.255.255", "10.0.0.1"))
                .noneMatch(m -> ip(m).isMask());
        assertThatThrownBy(() -> new NetworkNode("Cart", ip("10.0.0.1"), ip("255.0.255.0"), null, List.of()))
                .hasMessageContaining("255.0.255.0 is not a mask");
    }

    @Test
    void theNetworkIsWhatTheMaskLeaves() {
        Ipv4 mask = ip("255.255.254.0");
        assertThat(ip("10.0.0.7").sharesNetwork(ip("10.0.1.9"), mask)).isTrue();
        assertThat(ip("10.0.0.7").sharesNetwork(ip("10.0.2.9"), mask)).isFalse();
        assertThat(ip("10.0.0.0").isNetworkOrBroadcast(mask)).isTrue();
        assertThat(ip("10.0.1.255").isNetworkOrBroadcast(mask)).isTrue();
        assertThat(ip("10.0.0.255").isNetworkOrBroadcast(mask)).isFalse();
    }

    @Test
    void itsPortsAreUniverses() {
        assertThat(new NetworkNode("Cart", ip("10.0.0.1"), ip("255.255.255.0"), null, List.of(1, 7)).carries(7))
                .isTrue();
        assertThatThrownBy(() -> new NetworkNode("Cart", ip("10.0.0.1"), ip("255.255.255.0"), null, List.of(64000)))
                .hasMessageContaining("1 to 63999");
        assertThatThrownBy(() ->
                        new NetworkNode("Cart", ip("10.0.0.1"), ip("255.255.255.0"), null, Collections.nCopies(65, 1)))
                .hasMessageContaining("number of ports");
        assertThatThrownBy(() -> new NetworkNode(" ", ip("10.0.0.1"), ip("255.255.255.0"), null, List.of()))
                .hasMessageContaining("node's name");
    }
}
