package grandbore.core.combination;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;

/** Reads {@link Spec} off the records: one place for bounds, labels and paths of all inputs. */
public final class Specs {
  private static final List<Field> FIELDS = list();

  /** One component of a record; reflection is slow, so that it is asked once. */
  private record Part(RecordComponent component, Spec spec) {
    String name() {
      return component.getName();
    }

    Object read(Object record) {
      try {
        return component.getAccessor().invoke(record);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private static final ClassValue<List<Part>> PARTS =
      new ClassValue<>() {
        @Override
        protected List<Part> computeValue(Class<?> type) {
          return Arrays.stream(type.getRecordComponents())
              .map(c -> new Part(c, c.getAnnotation(Spec.class)))
              .toList();
        }
      };

  private Specs() {}

  /** One input's place in a combination: {@code bottomEnd.bore}. */
  public record Field(String group, String name, Spec spec) {
    public String path() {
      return group + "." + name;
    }

    public Given get(Combination combination) {
      return (Given) read(component(combination.getClass(), group, combination), name);
    }

    /** A combination with this input replaced, checked whole. */
    public Combination with(Combination combination, Given value) {
      var old = component(combination.getClass(), group, combination);
      return rebuild(combination, group, rebuild(old, name, value));
    }

    private static Record component(Class<?> type, String name, Object of) {
      if (!type.isRecord()) {
        throw new IllegalArgumentException(type + " is not a record");
      }
      return (Record) read(of, name);
    }
  }

  /** Every single-valued input of a combination, in the order of the records. */
  public static List<Field> fields() {
    return FIELDS;
  }

  private static List<Field> list() {
    var all = new ArrayList<Field>();
    for (var group : Combination.class.getRecordComponents()) {
      if (!group.getType().isRecord()) {
        continue;
      }
      for (var c : group.getType().getRecordComponents()) {
        var spec = c.getAnnotation(Spec.class);
        if (spec != null) {
          all.add(new Field(group.getName(), c.getName(), spec));
        }
      }
    }
    return List.copyOf(all);
  }

  /** The field of this path. */
  public static Field field(String path) {
    return fields().stream()
        .filter(f -> f.path().equals(path))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("There is no input " + path));
  }

  /**
   * Checks the annotated components of a record under construction.
   *
   * @param values those components' values, in their order
   */
  static void check(Class<? extends Record> type, String group, Given... values) {
    int next = 0;
    for (var c : PARTS.get(type)) {
      var spec = c.spec();
      if (spec == null) {
        continue;
      }
      String field = group + "." + c.name();
      var given = values[next++];
      if (given == null) {
        throw new InvalidInput(
            "%s (%s)".formatted(spec.label(), field), "missing", "a value", "it is needed");
      }
      check(given, spec, field);
    }
  }

  private static void check(Given given, Spec spec, String field) {
    if (given.quantity() != spec.quantity()) {
      throw new InvalidInput(
          "%s (%s)".formatted(spec.label(), field),
          "a " + given.quantity().name().toLowerCase(java.util.Locale.ROOT),
          "a " + spec.quantity().name().toLowerCase(java.util.Locale.ROOT),
          "the unit does not fit");
    }
    boolean unsaid = spec.optional() && given.si() == 0;
    if (!unsaid && !Bounds.hold(given.si(), spec.min(), spec.max())) {
      throw InvalidInput.outside(field, spec, given.si());
    }
    if (!(given.spread() >= 0) || Double.isInfinite(given.spread())) {
      throw new InvalidInput(
          "%s (%s)".formatted(spec.label(), field) + " spread",
          String.valueOf(given.spread()),
          "zero or more",
          "it is a standard deviation");
    }
  }

  /** A record's components' values, in their order. */
  public static List<Object> values(Record record) {
    var values = new ArrayList<Object>();
    for (var c : PARTS.get(record.getClass())) {
      values.add(c.read(record));
    }
    return values;
  }

  /** Tells each component's name and value, in their order. */
  public static void each(Record record, BiConsumer<String, Object> told) {
    for (var c : PARTS.get(record.getClass())) {
      told.accept(c.name(), c.read(record));
    }
  }

  /** A component of a record by its name. */
  static Object read(Object record, String name) {
    for (var c : PARTS.get(record.getClass())) {
      if (c.name().equals(name)) {
        return c.read(record);
      }
    }
    throw new IllegalArgumentException("There is no input " + name);
  }

  /** What a component is where nobody says: {@code null} where it must be said. */
  public static Object usual(RecordComponent c) {
    var spec = c.getAnnotation(Spec.class);
    if (spec != null) {
      return Double.isNaN(spec.usual())
          ? null
          : new Given(
              spec.usual(),
              spec.quantity(),
              Provenance.ASSUMED,
              Given.usualSpread(spec.usual(), spec.quantity(), Provenance.ASSUMED));
    }
    if (c.getType() == List.class) {
      return List.of();
    }
    if (c.getType() == LiftTable.class) {
      return LiftTable.NONE;
    }
    if (c.getType() == CompressorMap.class) {
      return CompressorMap.NONE;
    }
    if (c.getType() == MixtureTable.class) {
      return MixtureTable.NONE;
    }
    if (c.getType() == int.class) {
      return 1;
    }
    return c.getType().isEnum() ? c.getType().getEnumConstants()[0] : null;
  }

  /** A group from the components that are said; the others are as usual. */
  public static <T extends Record> T make(Class<T> type, Map<String, ?> said) {
    var components = type.getRecordComponents();
    var values = new Object[components.length];
    int used = 0;
    for (int i = 0; i < components.length; i++) {
      boolean is = said.containsKey(components[i].getName());
      used += is ? 1 : 0;
      values[i] = is ? said.get(components[i].getName()) : usual(components[i]);
    }
    if (used < said.size()) {
      throw new IllegalArgumentException(type + " does not have all of " + said.keySet());
    }
    return construct(type, values);
  }

  /** A copy of a record with one component replaced. */
  static <T extends Record> T rebuild(T record, String name, Object value) {
    return changed(record, Collections.singletonMap(name, value));
  }

  /** A copy of a record with some components replaced at once, checked whole. */
  public static <T extends Record> T changed(T record, Map<String, ?> said) {
    var components = PARTS.get(record.getClass());
    var values = new Object[components.size()];
    int used = 0;
    for (int i = 0; i < values.length; i++) {
      var c = components.get(i);
      boolean is = said.containsKey(c.name());
      used += is ? 1 : 0;
      values[i] = is ? said.get(c.name()) : c.read(record);
    }
    if (used < said.size()) {
      throw new IllegalArgumentException(
          record.getClass() + " does not have all of " + said.keySet());
    }
    @SuppressWarnings("unchecked")
    var type = (Class<T>) record.getClass();
    return construct(type, values);
  }

  /** A record of all its components, in order. */
  public static <T> T construct(Class<T> type, Object... values) {
    var types = PARTS.get(type).stream().map(p -> p.component().getType()).toArray(Class<?>[]::new);
    try {
      return type.getDeclaredConstructor(types).newInstance(values);
    } catch (InvocationTargetException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
