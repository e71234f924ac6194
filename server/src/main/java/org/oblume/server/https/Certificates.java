package org.oblume.server.https;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.math.BigInteger;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * An authority of this data folder's own, and the server's certificate that it signs. A device trusts the authority once; the certificate is
 * made anew when it runs out or the machine's addresses change. The authority may only speak for private addresses, {@code localhost}
 * and names that end in {@code .local}: whoever stole it could not stand in for anything else on a device that trusts it.
 */
final class Certificates {

    static final String ALIAS = "server";
    /** A key store needs one; the file's rights protect it. */
    static final String PASSWORD = "oblume";

    static final String AUTHORITY = "authority.crt";
    static final String SERVER = "server.p12";
    private static final String AUTHORITY_KEY = "authority.p12";
    private static final Duration AUTHORITY_LASTS = Duration.ofDays(3650);
    /** Devices take none that lasts longer. */
    private static final Duration SERVER_LASTS = Duration.ofDays(397);

    private static final Duration RENEWED_BEFORE = Duration.ofDays(30);
    private static final String SIGNED = "SHA256withECDSA";
    private static final int SERIAL_BITS = 127;
    private static final int DNS = GeneralName.dNSName;
    private static final int IP = GeneralName.iPAddress;
    /** Private, link-local and loopback networks, with their masks. */
    private static final List<String> NETWORKS = List.of(
            "10.0.0.0/255.0.0.0",
            "172.16.0.0/255.240.0.0",
            "192.168.0.0/255.255.0.0",
            "169.254.0.0/255.255.0.0",
            "127.0.0.0/255.0.0.0");

    private final Path folder;

    Certificates(Path folder) {
        this.folder = folder;
    }

    /**
     * Makes what is not there, or not good any more.
     *
     * @param names of this machine: {@code localhost}, and one that ends in {@code .local}
     * @param addresses of this machine; only private ones of the fourth version are vouched for
     * @return whether a certificate was made
     */
    boolean prepare(Set<String> names, List<InetAddress> addresses, Instant now)
            throws GeneralSecurityException, IOException {
        Files.createDirectories(folder);
        try {
            KeyStore.PrivateKeyEntry authority = authority(now);
            Set<String> wanted = Stream.concat(
                            names.stream(),
                            addresses.stream().filter(Certificates::isPrivate).map(InetAddress::getHostAddress))
                    .collect(Collectors.toSet());
            if (isGood(authority, wanted, now)) {
                return false;
            }
            KeyPair keys = keys();
            X509Certificate own = (X509Certificate) authority.getCertificate();
            JcaX509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    new X500Name(own.getSubjectX500Principal().getName()),
                    serial(),
                    Date.from(now.minus(Duration.ofDays(1))),
                    Date.from(now.plus(SERVER_LASTS)),
                    new X500Name("CN=Oblume"),
                    keys.getPublic());
            JcaX509ExtensionUtils ids = new JcaX509ExtensionUtils();
            builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
            builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
            builder.addExtension(
                    Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
            builder.addExtension(
                    Extension.authorityKeyIdentifier, false, ids.createAuthorityKeyIdentifier(own.getPublicKey()));
            builder.addExtension(
                    Extension.subjectAlternativeName,
                    false,
                    new GeneralNames(wanted.stream()
                            .sorted()
                            .map(name -> new GeneralName(isAddress(name) ? IP : DNS, name))
                            .toArray(GeneralName[]::new)));
            store(SERVER, keys.getPrivate(), signed(builder, authority.getPrivateKey()), own);
            return true;
        } catch (OperatorCreationException impossible) {
            throw new GeneralSecurityException(impossible);
        }
    }

    private KeyStore.PrivateKeyEntry authority(Instant now)
            throws GeneralSecurityException, IOException, OperatorCreationException {
        Path file = folder.resolve(AUTHORITY_KEY);
        if (!Files.exists(file)) {
            KeyPair keys = keys();
            X500Name name = new X500Name("CN=Oblume on this set " + Long.toString(now.getEpochSecond(), 36));
            JcaX509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    name,
                    serial(),
                    Date.from(now.minus(Duration.ofDays(1))),
                    Date.from(now.plus(AUTHORITY_LASTS)),
                    name,
                    keys.getPublic());
            builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
            builder.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign));
            builder.addExtension(
                    Extension.subjectKeyIdentifier,
                    false,
                    new JcaX509ExtensionUtils().createSubjectKeyIdentifier(keys.getPublic()));
            builder.addExtension(Extension.nameConstraints, true, speaksFor());
            X509Certificate own = signed(builder, keys.getPrivate());
            Files.write(folder.resolve(AUTHORITY), own.getEncoded());
            store(AUTHORITY_KEY, keys.getPrivate(), own);
        }
        return entry(AUTHORITY_KEY);
    }

    private static NameConstraints speaksFor() {
        Stream<GeneralName> dns = Stream.of("localhost", "local").map(name -> new GeneralName(DNS, name));
        Stream<GeneralName> ip = NETWORKS.stream().map(network -> new GeneralName(IP, network));
        return new NameConstraints(
                Stream.concat(dns, ip).map(GeneralSubtree::new).toArray(GeneralSubtree[]::new), null);
    }

    private boolean isGood(KeyStore.PrivateKeyEntry authority, Set<String> wanted, Instant now)
            throws GeneralSecurityException, IOException {
        if (!Files.exists(folder.resolve(SERVER))) {
            return false;
        }
        X509Certificate held = (X509Certificate) entry(SERVER).getCertificate();
        try {
            held.verify(authority.getCertificate().getPublicKey());
        } catch (GeneralSecurityException ofAnother) {
            return false;
        }
        Set<String> names = new HashSet<>();
        for (List<?> name : held.getSubjectAlternativeNames()) {
            names.add(String.valueOf(name.get(1)));
        }
        return names.equals(wanted) && held.getNotAfter().toInstant().isAfter(now.plus(RENEWED_BEFORE));
    }

    static boolean isPrivate(InetAddress address) {
        return address instanceof Inet4Address
                && (address.isSiteLocalAddress() || address.isLinkLocalAddress() || address.isLoopbackAddress());
    }

    private static boolean isAddress(String name) {
        return name.matches("\\d+\\.\\d+\\.\\d+\\.\\d+");
    }

    private KeyStore.PrivateKeyEntry entry(String file) throws GeneralSecurityException, IOException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(folder.resolve(file))) {
            store.load(in, PASSWORD.toCharArray());
        }
        return (KeyStore.PrivateKeyEntry)
                store.getEntry(ALIAS, new KeyStore.PasswordProtection(PASSWORD.toCharArray()));
    }

    private void store(String file, PrivateKey key, Certificate... chain) throws GeneralSecurityException, IOException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        store.setKeyEntry(ALIAS, key, PASSWORD.toCharArray(), chain);
        Path part = Files.createTempFile(
                folder,
                file,
                ".part",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        try (OutputStream out = Files.newOutputStream(part)) {
            store.store(out, PASSWORD.toCharArray());
        }
        Files.move(part, folder.resolve(file), StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }

    private static KeyPair keys() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }

    private static BigInteger serial() {
        return new BigInteger(SERIAL_BITS, new SecureRandom()).setBit(0);
    }

    private static X509Certificate signed(JcaX509v3CertificateBuilder builder, PrivateKey by)
            throws OperatorCreationException, GeneralSecurityException {
        return new JcaX509CertificateConverter()
                .getCertificate(builder.build(new JcaContentSignerBuilder(SIGNED).build(by)));
    }
}
