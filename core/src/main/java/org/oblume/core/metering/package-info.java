/** What a meter and a monitor say of the light, what that says of the prediction, and what is likely wrong where they differ. */
@NullMarked
package org.oblume.core.metering;

import org.jspecify.annotations.NullMarked;
