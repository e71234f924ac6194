package org.oblume.server;

import org.oblume.server.https.HttpsSetup;
import org.oblume.server.storage.StartCheck;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Oblume's server: the REST API, the record behind it and the interface's static files. */
@SpringBootApplication
public class OblumeApplication {

    public static void main(String[] args) {
        SpringApplication oblume = new SpringApplication(OblumeApplication.class);
        oblume.addListeners(new StartCheck(), new HttpsSetup());
        oblume.run(args);
    }
}
