package org.oblume.server.continuity;

import org.springframework.data.jpa.repository.JpaRepository;

interface SceneMatchRepository extends JpaRepository<SceneMatchEntity, Long> {}
