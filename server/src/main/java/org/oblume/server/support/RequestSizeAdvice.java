package org.oblume.server.support;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Type;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Nothing that is written as JSON is large; anyone may ask the bench, so what is asked of it is kept smaller still. Files have limits of their own. */
@RestControllerAdvice
class RequestSizeAdvice extends RequestBodyAdviceAdapter {

    private static final int LARGEST_KB = 1024;
    private static final int LARGEST_QUESTION_KB = 64;
    private static final String BENCH = "org.oblume.server.bench";

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
        boolean asks = parameter.getContainingClass().getPackageName().equals(BENCH);
        LargestBody own = parameter.getContainingClass().getAnnotation(LargestBody.class);
        int largest = own != null ? own.kb() : asks ? LARGEST_QUESTION_KB : LARGEST_KB;
        byte[] body = message.getBody().readNBytes(largest * 1024 + 1);
        if (body.length > largest * 1024) {
            throw new PayloadTooLargeException((asks
                            ? "The question is larger than %d KB: ask it in smaller parts."
                            : "What was sent is larger than %d KB: send it in smaller parts. Nothing was kept.")
                    .formatted(largest));
        }
        return new Read(message.getHeaders(), new ByteArrayInputStream(body));
    }

    private record Read(HttpHeaders getHeaders, InputStream getBody) implements HttpInputMessage {}
}
