package org.oblume.server.storage;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import org.flywaydb.core.api.ResourceProvider;
import org.flywaydb.core.api.resource.LoadableResource;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.flyway.FlywayConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The record in PostgreSQL, for a studio with many productions: by the same migrations, of which three words are PostgreSQL's own. */
@Configuration(proxyBeanMethods = false)
public class StudioDatabase {

    public static final String URL = "jdbc:postgresql:";

    @Bean
    FlywayConfigurationCustomizer migrationsForPostgres(Environment settings) {
        return flyway -> {
            if (settings.getRequiredProperty("spring.datasource.url").startsWith(URL)) {
                flyway.resourceProvider(new Migrations());
            }
        };
    }

    /** What H2 calls otherwise than PostgreSQL. */
    static String translated(String sql) {
        return sql.replaceAll("(?i)binary varying\\(\\d+\\)|\\bvarbinary\\b", "bytea")
                .replace("random_uuid()", "gen_random_uuid()");
    }

    private static final class Migrations implements ResourceProvider {

        private final List<LoadableResource> all;

        Migrations() {
            try {
                all = Arrays.stream(
                                new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql"))
                        .<LoadableResource>map(Migration::new)
                        .toList();
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
        }

        @Override
        public @Nullable LoadableResource getResource(String name) {
            return all.stream()
                    .filter(m -> m.getAbsolutePath().equals(name))
                    .findFirst()
                    .orElse(null);
        }

        @Override
        public Collection<LoadableResource> getResources(String prefix, String[] suffixes) {
            return all.stream().filter(m -> m.getFilename().startsWith(prefix)).toList();
        }
    }

    private static final class Migration extends LoadableResource {

        private final String name;
        private final String sql;

        Migration(Resource file) {
            this.name = String.valueOf(file.getFilename());
            try (InputStream in = file.getInputStream()) {
                this.sql = translated(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
        }

        @Override
        public Reader read() {
            return new StringReader(sql);
        }

        @Override
        public String getAbsolutePath() {
            return "db/migration/" + name;
        }

        @Override
        public String getAbsolutePathOnDisk() {
            return getAbsolutePath();
        }

        @Override
        public String getFilename() {
            return name;
        }

        @Override
        public String getRelativePath() {
            return getAbsolutePath();
        }
    }
}
