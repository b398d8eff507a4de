package grandbore.instruments;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Consumer;

/** The simulated instruments on one engine; whoever listens hears every reading. */
public final class Rig {
  private final MockUp mockUp;
  private final Map<Kind, Sensor> sensors = new EnumMap<>(Kind.class);
  private Consumer<Message> listener = m -> {};

  public Rig(MockUp mockUp, long seed) {
    this.mockUp = mockUp;
    for (var kind : Kind.values()) {
      sensors.put(kind, new Sensor(kind, seed));
    }
    sensor(Kind.ENCODER).on(mockUp::wheel);
    sensor(Kind.DIAL).on(() -> mockUp.piston(0));
  }

  public MockUp mockUp() {
    return mockUp;
  }

  public Sensor sensor(Kind kind) {
    return sensors.get(kind);
  }

  synchronized void listen(Consumer<Message> hears) {
    listener = hears;
  }

  /** One live line of every instrument. */
  synchronized void live() {
    for (var s : sensors.values()) {
      listener.accept(s.read(Message.Word.LIVE));
    }
  }

  /** The button of one. */
  synchronized Message send(Kind kind) {
    var message = sensors.get(kind).read(Message.Word.SENT);
    listener.accept(message);
    return message;
  }
}
