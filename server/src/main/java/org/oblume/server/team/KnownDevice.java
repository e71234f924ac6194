package org.oblume.server.team;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/**
 * A mark on a device that a person has signed in on: a cookie that only the server can make, from the hash of the passphrase. It lets nobody
 * in. It is worth nothing once the passphrase is another one.
 */
final class KnownDevice {

    private static final String COOKIE = "OBLUME-KNOWN";
    private static final Duration KEPT = Duration.ofDays(365);

    private KnownDevice() {}

    /** @return the mark, when the device has the one of this name; else empty */
    static String of(HttpServletRequest request, String name, String hash) {
        byte[] real = mark(name, hash).getBytes(StandardCharsets.US_ASCII);
        Cookie[] cookies = request.getCookies();
        return cookies != null
                        && Arrays.stream(cookies)
                                .filter(c -> c.getName().equals(COOKIE))
                                .anyMatch(c ->
                                        MessageDigest.isEqual(real, c.getValue().getBytes(StandardCharsets.UTF_8)))
                ? new String(real, StandardCharsets.US_ASCII)
                : "";
    }

    static void remember(HttpServletRequest request, HttpServletResponse response, String name, String hash) {
        ResponseCookie cookie = ResponseCookie.from(COOKIE, mark(name, hash))
                .httpOnly(true)
                .sameSite("Strict")
                .secure(request.isSecure())
                .path("/api/session")
                .maxAge(KEPT)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    private static String mark(String name, String hash) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(hash.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return HexFormat.of()
                    .formatHex(mac.doFinal(("device of " + AccountEntity.key(name)).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
