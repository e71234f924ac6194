package org.oblume.server.inventory;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface KitAddressRepository extends JpaRepository<KitAddressEntity, Long> {

    Optional<KitAddressEntity> findByProductionId(long productionId);
}
