/** What a production has: units with their tags, stock that is counted, and where each unit is. */
@NullMarked
package org.oblume.server.inventory;

import org.jspecify.annotations.NullMarked;
