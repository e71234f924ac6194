/** What every feature shares: errors as problem details, edit preconditions, who is at work, the interface's files. */
@NullMarked
package org.oblume.server.support;

import org.jspecify.annotations.NullMarked;
