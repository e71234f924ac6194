package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** https on a set's own network, for devices that trust its authority. */
class HttpsIT {

    private static int plainPort;
    private static RunningOblume oblume;

    @TempDir
    Path home;

    @BeforeAll
    static void start() {
        plainPort = RunningOblume.freePort();
        oblume = RunningOblume.withHttps(RunningOblume.newData(), plainPort);
    }

    @AfterAll
    static void stop() {
        oblume.close();
    }

    @Test
    void theAddressThatIsTypedShowsHowADeviceTrustsItAndNothingOfTheRecord() throws Exception {
        HttpClient device = HttpClient.newHttpClient();
        HttpResponse<String> page = device.send(plain("/"), BodyHandlers.ofString());
        assertThat(page.body()).contains(oblume.address() + "/", "/trust/authority.crt", "<svg ");
        HttpResponse<String> read = device.send(plain("/api/book?x=1"), BodyHandlers.ofString());
        assertThat(read.statusCode()).isEqualTo(308);
        assertThat(read.headers().firstValue("Location")).hasValue(oblume.address() + "/api/book?x=1");
        assertThat(read.body()).isEmpty();
    }

    @Test
    void whoTrustsTheAuthorityIsTalkedToInSecretAndWhoDoesNotIsWarned() throws Exception {
        HttpRequest session = HttpRequest.newBuilder(URI.create(oblume.address() + "/api/session"))
                .build();
        HttpResponse<String> answer = HttpClient.newBuilder()
                .sslContext(trusting(authority()))
                .build()
                .send(session, BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
        assertThat(answer.headers().firstValue("Strict-Transport-Security")).isEmpty();
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> HttpClient.newHttpClient().send(session, BodyHandlers.ofString()))
                .isInstanceOf(javax.net.ssl.SSLHandshakeException.class);
    }

    @Test
    void aPageOpensAgainWithoutANetwork() throws Exception {
        Path file = Files.write(home.resolve("authority.crt"), authority());
        Path trusted = Files.createDirectories(home.resolve(".pki/nssdb"));
        certutil("-d", "sql:" + trusted, "-N", "--empty-password");
        certutil("-d", "sql:" + trusted, "-A", "-t", "C,,", "-n", "oblume", "-i", file.toString());
        try (Browser phone = new Browser(oblume.address(), home)) {
            phone.open("/shots/3/plot");
            phone.see("[data-key=negative-fill]");
            assertThat(phone.script("return isSecureContext")).isEqualTo(true);
            phone.fetch("await navigator.serviceWorker.ready; return true");
            phone.settled();
            phone.network(false);
            phone.script("location.reload()");
            phone.see("[data-key=negative-fill]");
            phone.until("know that the line is lost", d -> phone.text().contains("no line") ? true : null);
        }
    }

    private static HttpRequest plain(String path) {
        return HttpRequest.newBuilder(URI.create("http://localhost:" + plainPort + path))
                .build();
    }

    private static byte[] authority() throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(plain("/trust/authority.crt"), BodyHandlers.ofByteArray())
                .body();
    }

    private static SSLContext trusting(byte[] authority) throws GeneralSecurityException, IOException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        store.setCertificateEntry(
                "oblume",
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(authority)));
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(store);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }

    private static void certutil(String... arguments) throws IOException, InterruptedException {
        java.util.List<String> command = new java.util.ArrayList<>(java.util.List.of("certutil"));
        command.addAll(java.util.List.of(arguments));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
    }
}
