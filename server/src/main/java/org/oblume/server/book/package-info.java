/** The book of productions, scenes and shots, and starting new ones. */
@NullMarked
package org.oblume.server.book;

import org.jspecify.annotations.NullMarked;
