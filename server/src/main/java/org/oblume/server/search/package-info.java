/** Finding shots by whatever was recorded, and shots that were lit alike. */
@NullMarked
package org.oblume.server.search;

import org.jspecify.annotations.NullMarked;
