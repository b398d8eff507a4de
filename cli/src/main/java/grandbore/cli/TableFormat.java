package grandbore.cli;

/** How a table is printed. */
enum TableFormat {
  CSV,
  JSON
}
