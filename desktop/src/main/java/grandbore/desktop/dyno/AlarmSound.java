package grandbore.desktop.dyno;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Three short tones that are heard over an engine; silent where the machine has no sound. */
final class AlarmSound {
  private static final Logger LOG = LoggerFactory.getLogger(AlarmSound.class);
  private static final float RATE = 22_050;
  private static final double PITCH = 2800;
  private static final double TONE = 0.12;
  private static final int TONES = 3;

  private AlarmSound() {}

  static void play() {
    var format = new AudioFormat(RATE, 8, 1, true, false);
    try (var line = AudioSystem.getSourceDataLine(format)) {
      line.open(format);
      line.start();
      var samples = tones();
      line.write(samples, 0, samples.length);
      line.drain();
    } catch (LineUnavailableException | IllegalArgumentException e) {
      LOG.debug("No sound on this machine: {}", e.getMessage());
    }
  }

  private static byte[] tones() {
    int length = (int) (RATE * TONE);
    var all = new byte[2 * TONES * length];
    for (int t = 0; t < TONES; t++) {
      for (int k = 0; k < length; k++) {
        all[2 * t * length + k] = (byte) (100 * Math.sin(2 * Math.PI * PITCH * k / RATE));
      }
    }
    return all;
  }
}
