/** What can be placed and hung: generic fixtures and the stock of filters and cloths. */
@NullMarked
package org.oblume.server.kit;

import org.jspecify.annotations.NullMarked;
