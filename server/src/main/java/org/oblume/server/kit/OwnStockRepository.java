package org.oblume.server.kit;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnStockRepository extends JpaRepository<OwnStockEntity, Long> {

    List<OwnStockEntity> findAllByOrderByName();

    Optional<OwnStockEntity> findByName(String name);
}
