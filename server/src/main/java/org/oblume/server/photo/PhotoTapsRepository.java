package org.oblume.server.photo;

import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoTapsRepository extends JpaRepository<PhotoTapsEntity, Long> {}
