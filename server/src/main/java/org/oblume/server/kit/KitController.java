package org.oblume.server.kit;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class KitController {

    private final KitService kit;

    KitController(KitService kit) {
        this.kit = kit;
    }

    @GetMapping("/api/kit")
    Kit kit() {
        return kit.kit();
    }
}
