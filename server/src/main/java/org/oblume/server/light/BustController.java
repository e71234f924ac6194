package org.oblume.server.light;

import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The bust's form, which is the same for all. */
@Needs(Permission.READ)
@RestController
class BustController {

    @GetMapping("/api/bust")
    BustView.BustForm form() {
        return BustView.BustForm.plain();
    }
}
