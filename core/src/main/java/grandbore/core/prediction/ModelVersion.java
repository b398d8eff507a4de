package grandbore.core.prediction;

/** Which model predicts: raised whenever the same engine comes to other numbers. */
public final class ModelVersion {
  public static final int CURRENT = 8;

  private ModelVersion() {}
}
