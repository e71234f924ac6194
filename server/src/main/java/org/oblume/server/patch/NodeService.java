package org.oblume.server.patch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.network.Ipv4;
import org.oblume.core.network.NetworkNode;
import org.oblume.core.units.Refusal;
import org.oblume.server.production.ProductionService;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The nodes of a production. */
@Service
@Transactional
public class NodeService {

    private final NodeRepository nodes;
    private final ProductionService productions;

    NodeService(NodeRepository nodes, ProductionService productions) {
        this.nodes = nodes;
        this.productions = productions;
    }

    @Transactional(readOnly = true)
    public List<NetworkNode> of(long productionId) {
        return nodes.findByProductionIdOrderByName(productionId).stream()
                .map(NodeEntity::toNode)
                .toList();
    }

    @Transactional(readOnly = true)
    List<PatchPage.KnownNode> known(long productionId) {
        return nodes.findByProductionIdOrderByName(productionId).stream()
                .map(NodeService::known)
                .toList();
    }

    public PatchPage.KnownNode add(long productionId, PatchPage.NodeCard card) {
        productions.get(productionId);
        NetworkNode node = node(card);
        refuseTaken(productionId, node, null);
        return known(nodes.saveAndFlush(new NodeEntity(productionId, node)));
    }

    PatchPage.KnownNode change(long id, PatchPage.NodeCard card, long version) {
        NodeEntity entity = find(id, version);
        NetworkNode node = node(card);
        refuseTaken(entity.productionId(), node, id);
        entity.describe(node);
        return known(nodes.saveAndFlush(entity));
    }

    void remove(long id, long version) {
        nodes.delete(find(id, version));
    }

    private NodeEntity find(long id, long version) {
        NodeEntity entity =
                nodes.findById(id).orElseThrow(() -> new NotFoundException("This node is not there any more."));
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone else changed %s. Yours is not kept yet: look, and put it on top."
                            .formatted(entity.toNode().name()),
                    known(entity));
        }
        return entity;
    }

    private void refuseTaken(long productionId, NetworkNode node, @Nullable Long but) {
        if (nodes.findByProductionIdOrderByName(productionId).stream()
                .anyMatch(
                        n -> (but == null || n.id() != but) && n.toNode().name().equalsIgnoreCase(node.name()))) {
            throw new Refusal("name", "There is a node called %s already: choose another name.".formatted(node.name()));
        }
    }

    private static NetworkNode node(PatchPage.NodeCard card) {
        return new NetworkNode(
                card.name(),
                Ipv4.parse("address", card.address()),
                Ipv4.parse("mask", card.mask()),
                card.gateway() == null || card.gateway().isBlank() ? null : Ipv4.parse("gateway", card.gateway()),
                card.ports());
    }

    private static PatchPage.KnownNode known(NodeEntity entity) {
        return new PatchPage.KnownNode(entity.id(), entity.version(), PatchPage.NodeCard.of(entity.toNode()));
    }
}
