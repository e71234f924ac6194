package org.oblume.server.support;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What is asked here is larger than other questions to the bench may be. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
public @interface LargestBody {

    int kb();
}
