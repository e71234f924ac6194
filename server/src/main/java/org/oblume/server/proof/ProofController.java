package org.oblume.server.proof;

import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is wrong with a rebuild. */
@Needs(Permission.READ)
@RestController
@RequestMapping("/api")
class ProofController {

    private final ProofService proof;

    ProofController(ProofService proof) {
        this.proof = proof;
    }

    @GetMapping("/runs/{id}/diagnosis")
    DiagnosisView diagnosis(@PathVariable long id) {
        return proof.diagnosis(id);
    }
}
