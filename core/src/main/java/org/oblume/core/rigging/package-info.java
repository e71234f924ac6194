/** What is hung and stood so that nobody is hurt. Estimates: a qualified rigger decides. */
@NullMarked
package org.oblume.core.rigging;

import org.jspecify.annotations.NullMarked;
