package grandbore.desktop.controls;

import javafx.scene.Node;

/** Shows something over the whole window. */
public interface Overlay {
  /** Lays a sheet over the window; what is below is out of reach. */
  void show(Node sheet);

  /** Takes the sheet away. */
  void close();
}
