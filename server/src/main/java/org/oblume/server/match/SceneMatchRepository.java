package org.oblume.server.match;

import org.springframework.data.jpa.repository.JpaRepository;

interface SceneMatchRepository extends JpaRepository<SceneMatchEntity, Long> {
}
