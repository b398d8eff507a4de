/**
 * How the window uses its room: the rail, a station's page, the pane beside it, the foot, at every
 * size; the parts that pages are composed of. What was last chosen is remembered beside the book.
 * See docs/composition.md.
 */
package grandbore.desktop.composition;
