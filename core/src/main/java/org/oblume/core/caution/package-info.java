/**
 * What to mind while a thing is moved or set. Each caution is a rule of its own; {@link Cautions} lists them. Cautions are advice: local
 * codes and licensed people decide.
 */
@NullMarked
package org.oblume.core.caution;

import org.jspecify.annotations.NullMarked;
