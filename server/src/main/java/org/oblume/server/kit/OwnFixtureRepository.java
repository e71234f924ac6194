package org.oblume.server.kit;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnFixtureRepository extends JpaRepository<OwnFixtureEntity, Long> {

    List<OwnFixtureEntity> findAllByOrderByWhat();

    Optional<OwnFixtureEntity> findByWhat(String what);
}
