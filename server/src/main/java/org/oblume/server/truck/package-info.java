/** What shots and days need of the kit: what is short, what could stand in, what is pulled from the store and counted back. */
@NullMarked
package org.oblume.server.truck;

import org.jspecify.annotations.NullMarked;
