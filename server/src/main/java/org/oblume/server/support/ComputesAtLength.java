package org.oblume.server.support;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Reads a little and computes long: each read is a transaction of its own, so that no connection of the pool is held while the processors
 * are at work. What is called within a transaction stays in it.
 */
@Documented
@Target({ElementType.TYPE, ElementType.METHOD})
@Retention(RetentionPolicy.RUNTIME)
@Transactional(propagation = Propagation.SUPPORTS)
public @interface ComputesAtLength {}
