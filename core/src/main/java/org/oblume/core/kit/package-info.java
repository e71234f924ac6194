/** What a crew has, and what it cuts from it. */
@NullMarked
package org.oblume.core.kit;

import org.jspecify.annotations.NullMarked;
