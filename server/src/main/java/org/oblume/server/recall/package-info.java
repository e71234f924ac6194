/** Live output: arming it, recalling a shot, asking the rig what it stands at. */
@org.jspecify.annotations.NullMarked
package org.oblume.server.recall;
