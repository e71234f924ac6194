package org.oblume.server.production;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ProductionRepository extends JpaRepository<ProductionEntity, Long> {

    Optional<ProductionEntity> findByName(String name);

    List<ProductionEntity> findAllByOrderById();
}
