/**
 * The window: the start page, the bench with its rail, bars and sheets, the demo without a display.
 * Puts the parts of the other packages together; the others never see this one.
 */
package grandbore.desktop;
