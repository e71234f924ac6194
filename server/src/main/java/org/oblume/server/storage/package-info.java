/** The file that the record is in: on the disk before anything is acknowledged, each write of it in a journal elsewhere too. */
@NullMarked
package org.oblume.server.storage;

import org.jspecify.annotations.NullMarked;
