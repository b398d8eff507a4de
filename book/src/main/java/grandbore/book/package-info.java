/**
 * The shop book: one SQLite file with every build, revision, reading and note, written by a journal
 * in order, checked row by row by a chain of checksums, backed up and rescued. Also the open
 * formats that builds, readings, curves, flow sheets and tables travel in. In come immutable
 * records of the core, out come the same to the last digit. Paths, SQL and JSON stay in here.
 */
package grandbore.book;
