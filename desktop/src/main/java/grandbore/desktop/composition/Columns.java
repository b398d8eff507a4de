package grandbore.desktop.composition;

import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Region;

/**
 * Groups beside one another in as many columns as there is room for, each put where the least
 * stands so far; one below the other where there is room for one.
 */
public final class Columns extends Region {
  private static final double GAP = 18;

  /** The most columns that are read with ease. */
  private static final int MOST = 4;

  /**
   * @param groups in the order they are read in
   */
  public Columns(Node... groups) {
    getChildren().addAll(groups);
  }

  private double widest() {
    return getManagedChildren().stream().mapToDouble(n -> n.minWidth(-1)).max().orElse(100);
  }

  private int columns(double width) {
    int fit = (int) ((width + GAP) / (widest() + GAP));
    return Math.clamp(fit, 1, Math.min(MOST, Math.max(1, getManagedChildren().size())));
  }

  private interface Place {
    void at(Node n, double x, double y, double width, double height);
  }

  /** Gives every group its place; returns the height of the longest column. */
  private double arrange(double width, Place place) {
    int n = columns(width);
    double wide = (width - GAP * (n - 1)) / n;
    var foot = new double[n];
    for (var child : getManagedChildren()) {
      int least = 0;
      for (int k = 1; k < n; k++) {
        least = foot[k] < foot[least] - 1 ? k : least;
      }
      double h = child.prefHeight(wide);
      place.at(child, least * (wide + GAP), foot[least], wide, h);
      foot[least] += h + GAP;
    }
    double most = 0;
    for (double f : foot) {
      most = Math.max(most, f - GAP);
    }
    return most;
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computeMinWidth(double height) {
    return widest();
  }

  @Override
  protected double computePrefWidth(double height) {
    return widest() * 2 + GAP;
  }

  @Override
  protected double computePrefHeight(double width) {
    Insets in = getInsets();
    double w = width < 0 ? prefWidth(-1) : width;
    return in.getTop()
        + in.getBottom()
        + arrange(w - in.getLeft() - in.getRight(), (n, x, y, a, h) -> {});
  }

  @Override
  protected double computeMinHeight(double width) {
    return computePrefHeight(width);
  }

  @Override
  protected void layoutChildren() {
    Insets in = getInsets();
    arrange(
        getWidth() - in.getLeft() - in.getRight(),
        (n, x, y, w, h) -> n.resizeRelocate(in.getLeft() + x, in.getTop() + y, w, h));
  }
}
