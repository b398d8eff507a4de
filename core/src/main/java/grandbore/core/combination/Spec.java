package grandbore.core.combination;

import grandbore.core.units.Quantity;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What an input is called, what it may be, and why; bounds in SI. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.RECORD_COMPONENT)
public @interface Spec {
  String label();

  Quantity quantity();

  double min();

  double max();

  /** What it is where an older document or a new build does not say; NaN where it must be said. */
  double usual() default Double.NaN;

  /** Whether it need not be known: zero then says that it is not. */
  boolean optional() default false;

  /** The reason for the bounds, a clause. */
  String why();
}
