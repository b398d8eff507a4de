package grandbore.desktop.composition;

import javafx.scene.Scene;
import javafx.scene.layout.Region;

/** Drawings and plots that grow with the window. */
public final class Growing {
  /** Height of the window that their own height is made for, pixels. */
  private static final double USUAL = 800;

  private static final double MOST = 1.8;

  private Growing() {}

  /**
   * Keeps a region as high as its share of the window.
   *
   * @param height at the usual window, pixels; it is never less
   */
  public static void from(double height, Region region) {
    set(region, height);
    region
        .sceneProperty()
        .flatMap(Scene::heightProperty)
        .subscribe(
            h -> {
              if (h != null && h.doubleValue() > 0) {
                set(region, Math.rint(height * Math.clamp(h.doubleValue() / USUAL, 1, MOST)));
              }
            });
  }

  private static void set(Region region, double height) {
    region.setMinHeight(height);
    region.setPrefHeight(height);
    region.setMaxHeight(height);
  }
}
