package org.oblume.server.team;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface InvitationRepository extends JpaRepository<InvitationEntity, Long> {

    Optional<InvitationEntity> findByTokenHash(String tokenHash);

    List<InvitationEntity> findByTakenByNullAndExpiresAtAfterOrderById(Instant now);
}
