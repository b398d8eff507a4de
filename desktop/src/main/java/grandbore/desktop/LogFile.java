package grandbore.desktop;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.util.FileSize;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;

/**
 * Failures and slow runs in a file beside the book: {@code grand-bore.log}, a megabyte, and three
 * older ones.
 */
final class LogFile {
  private static final int OLDER = 3;
  private static final FileSize SIZE = new FileSize(1_000_000);

  private LogFile() {}

  /** Begins to write; where no file can be made, the standard error output stays alone. */
  static void begin(Path folder) {
    if (!(LoggerFactory.getILoggerFactory() instanceof LoggerContext context)) {
      return;
    }
    var lines = new PatternLayoutEncoder();
    lines.setContext(context);
    lines.setPattern("%d{yyyy-MM-dd HH:mm:ss} %level %logger{0}: %msg%n");
    lines.start();
    var file = new RollingFileAppender<ILoggingEvent>();
    file.setContext(context);
    file.setFile(folder.resolve("grand-bore.log").toString());
    file.setEncoder(lines);
    var rolling = new FixedWindowRollingPolicy();
    rolling.setContext(context);
    rolling.setParent(file);
    rolling.setFileNamePattern(folder.resolve("grand-bore.%i.log").toString());
    rolling.setMinIndex(1);
    rolling.setMaxIndex(OLDER);
    rolling.start();
    var trigger = new SizeBasedTriggeringPolicy<ILoggingEvent>();
    trigger.setContext(context);
    trigger.setMaxFileSize(SIZE);
    trigger.start();
    file.setRollingPolicy(rolling);
    file.setTriggeringPolicy(trigger);
    file.start();
    context.getLogger(Logger.ROOT_LOGGER_NAME).addAppender(file);
    context.getLogger("grandbore").setLevel(Level.INFO);
  }
}
