package org.oblume.server.call;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a call changes; every open page is told once it is kept. Nothing that others see, where it names none. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Changes {
    Topic[] value();
}
