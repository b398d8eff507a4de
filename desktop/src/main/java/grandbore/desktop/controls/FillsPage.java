package grandbore.desktop.controls;

/** A page that takes the height of the window instead of scrolling. */
public interface FillsPage {}
