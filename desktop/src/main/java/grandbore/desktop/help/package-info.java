/**
 * The guide that ships with the program: a page a station, cautions and words. Text files come in,
 * pages with headings that can be found go out; the text is CommonMark.
 */
package grandbore.desktop.help;
