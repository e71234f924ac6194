package org.oblume.server.support;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import org.oblume.core.carry.Slate;
import org.springframework.boot.jackson.JsonMixin;

/** A slate as the text that is on it. */
@JsonMixin(Slate.class)
abstract class SlateJson {

    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    SlateJson(String text) {}

    @JsonValue
    abstract String text();
}
