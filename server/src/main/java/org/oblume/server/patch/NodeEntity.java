package org.oblume.server.patch;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Ipv4;
import org.oblume.core.network.NetworkNode;
import org.oblume.server.support.IdentifiedEntity;

@Entity
@Table(name = "network_node")
class NodeEntity extends IdentifiedEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Column(name = "production_id")
    private long productionId;

    private String name = "";
    private String address = "";
    private String mask = "";
    private @Nullable String gateway;
    /** Universes of its ports, separated by commas. */
    private String ports = "";

    @Version
    private long version;

    protected NodeEntity() {}

    NodeEntity(long productionId, NetworkNode node) {
        this.productionId = productionId;
        describe(node);
    }

    void describe(NetworkNode node) {
        name = node.name();
        address = node.address().print();
        mask = node.mask().print();
        gateway = node.gateway() == null ? null : node.gateway().print();
        ports = node.ports().stream().map(String::valueOf).collect(Collectors.joining(","));
    }

    NetworkNode toNode() {
        List<Integer> universes = ports.isEmpty()
                ? List.of()
                : Arrays.stream(ports.split(",")).map(Integer::valueOf).toList();
        return new NetworkNode(
                name,
                Ipv4.parse("address", address),
                Ipv4.parse("mask", mask),
                gateway == null ? null : Ipv4.parse("gateway", gateway),
                universes);
    }

    long id() {
        return Objects.requireNonNull(id);
    }

    long productionId() {
        return productionId;
    }

    long version() {
        return version;
    }
}
