/** The picture of a set in its light, as a camera sees it: predicted, with lines of equal exposure. */
@org.jspecify.annotations.NullMarked
package org.oblume.core.picture;
