package org.oblume.server.team;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface AccountRepository extends JpaRepository<AccountEntity, Long> {

    Optional<AccountEntity> findByNameKeyAndRemovedFalse(String nameKey);

    boolean existsByNameKey(String nameKey);

    List<AccountEntity> findByRemovedFalseOrderById();
}
