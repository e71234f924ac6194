package org.oblume.server.https;

import org.jspecify.annotations.Nullable;
import org.oblume.server.call.Needs;
import org.oblume.server.call.Permission;
import org.oblume.server.support.KnownHosts;
import org.oblume.server.support.QrCode;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where other devices of the set find this Oblume. */
@RestController
@RequestMapping("/api/address")
@Needs(Permission.READ)
class AddressController {

    private final KnownHosts hosts;

    AddressController(KnownHosts hosts) {
        this.hosts = hosts;
    }

    /**
     * @param typed the address that people type, such as {@code http://10.0.0.5:8080}; absent when no other device can reach this Oblume
     * @param code of that address
     * @param trustFirst whether that address shows first how a device comes to trust this server
     */
    record Address(@Nullable String typed, @Nullable QrCode code, boolean trustFirst) {}

    @GetMapping
    Address address() {
        return hosts.typed()
                .map(typed -> new Address(typed, QrCode.of(typed), hosts.isHttps()))
                .orElseGet(() -> new Address(null, null, false));
    }
}
