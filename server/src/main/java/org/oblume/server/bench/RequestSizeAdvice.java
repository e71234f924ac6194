package org.oblume.server.bench;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import org.oblume.server.support.PayloadTooLargeException;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Anyone may ask the bench, so what is asked is kept small. */
@RestControllerAdvice(basePackageClasses = RequestSizeAdvice.class)
class RequestSizeAdvice extends RequestBodyAdviceAdapter {

    private static final int LARGEST_KB = 64;

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public HttpInputMessage beforeBodyRead(
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter)
            throws IOException {
        byte[] body = message.getBody().readNBytes(LARGEST_KB * 1024 + 1);
        if (body.length > LARGEST_KB * 1024) {
            throw new PayloadTooLargeException(
                    "The question is larger than %d KB: ask it in smaller parts.".formatted(LARGEST_KB));
        }
        return new Read(message.getHeaders(), new ByteArrayInputStream(body));
    }

    private record Read(HttpHeaders getHeaders, InputStream getBody) implements HttpInputMessage {}
}
