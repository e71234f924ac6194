package org.oblume.server.support;

import java.io.IOException;
import java.time.Duration;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the interface. A path of the interface's own router gets its page; a missing file or API path stays 404. */
@Configuration(proxyBeanMethods = false)
class SpaResources implements WebMvcConfigurer {

    private static final Duration HASHED_FILES = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(HASHED_FILES).immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(false)
                .addResolver(new PageResolver());
    }

    private static final class PageResolver extends PathResourceResolver {

        private static final Pattern NOT_PAGES = Pattern.compile("(api|actuator|assets|v3|error)(/.*)?");

        @Override
        protected @Nullable Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            boolean page = !path.contains(".") && !NOT_PAGES.matcher(path).matches();
            return file == null && page ? new ClassPathResource("/static/index.html") : file;
        }
    }
}
