/** The record on paper: plots to scale, sheets, lists and verdicts as PDF, the tables as CSV, the plot as SVG. */
@NullMarked
package org.oblume.server.paper;

import org.jspecify.annotations.NullMarked;
