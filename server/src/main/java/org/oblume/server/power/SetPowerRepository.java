package org.oblume.server.power;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetPowerRepository extends JpaRepository<SetPowerEntity, Long> {

    Optional<SetPowerEntity> findBySetId(long setId);
}
