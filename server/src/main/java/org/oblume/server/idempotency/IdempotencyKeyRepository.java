package org.oblume.server.idempotency;

import org.springframework.data.jpa.repository.JpaRepository;

interface IdempotencyKeyRepository extends JpaRepository<IdempotencyKeyEntity, String> {}
