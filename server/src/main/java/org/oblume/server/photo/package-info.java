/** What is tapped in the photographs of a shot, and the places that it gives. */
@NullMarked
package org.oblume.server.photo;

import org.jspecify.annotations.NullMarked;
