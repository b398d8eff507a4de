package grandbore.desktop.controls;

import grandbore.core.clearances.Measurement;

/** Goes to where something of the engine stands. */
public interface Places {
  /** To an input, the cursor in it. */
  void toInput(String path);

  /** To where a measurement is read, its next place waiting for a number. */
  void toReading(Measurement measurement);
}
