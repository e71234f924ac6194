package org.oblume.server.idempotency;

import org.jspecify.annotations.Nullable;
import org.oblume.server.support.Turns;
import org.springframework.boot.autoconfigure.web.servlet.WebMvcRegistrations;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerAdapter;
import org.springframework.web.servlet.mvc.method.annotation.ServletInvocableHandlerMethod;

/** Calls the controllers, each in its turn; one that bears a key within the transaction of its key: after its body was read, before its answer is written. */
@Component
class IdempotentHandlerAdapter implements WebMvcRegistrations {

    private final IdempotencyKeys keys;
    private final Turns turns;

    IdempotentHandlerAdapter(IdempotencyKeys keys, Turns turns) {
        this.keys = keys;
        this.turns = turns;
    }

    @Override
    public RequestMappingHandlerAdapter getRequestMappingHandlerAdapter() {
        return new RequestMappingHandlerAdapter() {
            @Override
            protected ServletInvocableHandlerMethod createInvocableHandlerMethod(HandlerMethod call) {
                return new KeyedMethod(call, keys, turns);
            }
        };
    }

    private static final class KeyedMethod extends ServletInvocableHandlerMethod {

        private final IdempotencyKeys keys;
        private final Turns turns;

        KeyedMethod(HandlerMethod call, IdempotencyKeys keys, Turns turns) {
            super(call);
            this.keys = keys;
            this.turns = turns;
        }

        @Override
        protected @Nullable Object doInvoke(@Nullable Object... arguments) throws Exception {
            return turns.take(() -> inTurn(arguments));
        }

        private @Nullable Object inTurn(@Nullable Object[] arguments) throws Exception {
            RequestAttributes request = RequestContextHolder.currentRequestAttributes();
            return request.getAttribute(KeyedCall.ATTRIBUTE, RequestAttributes.SCOPE_REQUEST) instanceof KeyedCall call
                    ? keys.doOnce(call, () -> super.doInvoke(arguments))
                    : super.doInvoke(arguments);
        }
    }
}
