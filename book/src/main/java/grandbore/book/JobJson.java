package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import grandbore.core.build.Build;
import grandbore.core.clearances.OnJob;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.JobPlan;
import grandbore.core.job.Option;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.Item;
import grandbore.core.job.route.Step;
import java.util.List;

/** What a job is made of as JSON, component by component; numbers in SI, days as 2026-03-14. */
public final class JobJson {
  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .addModule(new JavaTimeModule())
          .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
          .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  /** The order of a route's steps. */
  private record Sequence(List<String> steps) {}

  private JobJson() {}

  /** A note that makes something stand as it is from now on. */
  public static OnJob note(Item item) {
    return new OnJob(OnJob.Kind.ITEM, item.id(), write(item));
  }

  public static OnJob note(WorkOrder order) {
    return new OnJob(OnJob.Kind.ORDER, order.number(), write(order));
  }

  public static OnJob note(Step step) {
    return new OnJob(OnJob.Kind.STEP, step.id(), write(step));
  }

  public static OnJob note(Option option) {
    return new OnJob(OnJob.Kind.OPTION, option.id(), write(option));
  }

  public static OnJob note(JobPlan plan) {
    return new OnJob(OnJob.Kind.PLAN, "", write(plan));
  }

  /** What is kept for a build to be found again as it stands. */
  public static OnJob version(String name, Build build) {
    return new OnJob(
        OnJob.Kind.VERSION, name, BuildJson.writeCompact(new BuildDocument(build, List.of())));
  }

  /** The order in which the steps stand. */
  public static OnJob sequence(List<String> steps) {
    return new OnJob(OnJob.Kind.SEQUENCE, "", write(new Sequence(steps)));
  }

  /** What is kept for something to be no more. */
  public static OnJob gone(OnJob.Kind kind, String key) {
    return new OnJob(kind, key, "");
  }

  static List<String> sequence(String document) {
    return read(document, Sequence.class).steps();
  }

  static String write(Object value) {
    try {
      return MAPPER.writeValueAsString(value);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * One of them as it was kept.
   *
   * @throws FormatException where it is damaged
   */
  static <T> T read(String document, Class<T> type) {
    try {
      return MAPPER.readValue(document, type);
    } catch (JsonProcessingException e) {
      if (e.getCause() instanceof InvalidInput wrong) {
        throw wrong;
      }
      throw new FormatException(
          "Not a %s of a job: %s"
              .formatted(
                  type.getSimpleName().toLowerCase(java.util.Locale.ROOT),
                  JsonText.firstLine(e.getOriginalMessage())),
          e);
    }
  }
}
