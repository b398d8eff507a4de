/**
 * The curve that stands beside every edit: the service that asks for it, its states, chart and
 * pane.
 */
package grandbore.desktop.curve;
