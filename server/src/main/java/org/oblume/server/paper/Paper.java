package org.oblume.server.paper;

/**
 * Something of the record as it goes out: on paper, and as a table.
 *
 * @param name of the file, without its ending
 * @param table the same as rows
 */
record Paper(String name, Sheet sheet, Sheet.Table table) {}
