package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.job.Job;
import grandbore.core.job.Money;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.WorkOrder;

/**
 * Sheets of a job that leave the shop, as one HTML file each that any browser prints: a work order,
 * a quote.
 */
public final class JobSheet {
  private static final String HEAD =
      """
      <!DOCTYPE html>
      <html lang="en"><head><meta charset="utf-8"><title>%s</title><style>
      body { font: 11pt/1.4 sans-serif; margin: 18mm; color: #000; }
      h1 { font-size: 16pt; margin: 0 0 2mm; }
      table { border-collapse: collapse; width: 100%%; margin: 4mm 0; }
      th, td { border-bottom: 0.3mm solid #999; text-align: left; padding: 1.2mm 2mm; vertical-align: top; }
      td.n, th.n { text-align: right; white-space: nowrap; }
      .box { display: inline-block; width: 4mm; height: 4mm; border: 0.3mm solid #000; }
      .soft { color: #444; }
      </style></head><body>
      """;

  private JobSheet() {}

  /** A work order: what is to be done, from which value to which, and a box to tick. */
  public static String order(Build build, Job job, WorkOrder order) {
    var out = new StringBuilder(HEAD.formatted(text("Work order " + order.number())));
    out.append("<h1>Work order ").append(text(order.number())).append("</h1>\n");
    line(out, "To", order.supplier());
    line(out, "Engine", build.name() + about(job));
    order.day().ifPresent(d -> line(out, "Wanted back", d.toString()));
    out.append("<table><tr><th></th><th>Part</th><th>Work</th><th class=n>Measured</th>")
        .append("<th class=n>Wanted</th><th class=n>Either side</th><th>Why</th>")
        .append("<th class=n>Price</th></tr>\n");
    for (var l : order.lines()) {
      row(
          out,
          "<span class=box></span>",
          text(part(build, l)),
          text(l.operation().title() + (l.words().isBlank() ? "" : ": " + l.words())),
          right(l.shown(l.from(), build.units())),
          right(l.shown(l.to(), build.units())),
          right(l.toleranceShown(build.units())),
          text(l.why()),
          right(l.price() > 0 ? money(l.price()) : ""));
    }
    out.append("</table>\n");
    line(out, "Sum as quoted", money(order.price()));
    out.append("<p class=soft>Measured values were read on this engine before the order; the same")
        .append(" places are read again when it comes back. Limits of the parts' makers come")
        .append(" first: ask before going beyond them.</p>\n</body></html>\n");
    return out.toString();
  }

  /** A quote for a customer: what is done, by stage, and its sum. */
  public static String quote(Build build, Job job) {
    var money = Money.of(job, build.combination().bottomEnd());
    var out = new StringBuilder(HEAD.formatted(text("Quote: " + build.name())));
    out.append("<h1>Quote: ").append(text(build.name())).append("</h1>\n");
    if (!job.plan().customer().isBlank()) {
      line(out, "For", job.plan().customer());
    }
    if (!job.plan().serial().isBlank()) {
      line(out, "Engine numbers", job.plan().serial());
    }
    money
        .byStage()
        .forEach(
            (stage, sum) -> {
              out.append("<table><tr><th>").append(text(stage)).append("</th><th class=n>");
              out.append(text(money(sum.all()))).append("</th></tr>\n");
              for (var l : money.lines()) {
                if (l.stage().title().equals(stage)) {
                  row(out, text(l.what()), right(money(l.amount())));
                }
              }
              out.append("</table>\n");
            });
    line(out, "In all", money(money.sum().all()));
    out.append(
            "<p class=soft>Prices as quoted to the shop so far; what is found when the engine is")
        .append(" apart may change them, and is told before it is done.</p>\n</body></html>\n");
    return out.toString();
  }

  private static String about(Job job) {
    return job.plan().serial().isBlank() ? "" : ", " + job.plan().serial();
  }

  private static String part(Build build, OrderLine l) {
    return l.isRead() && l.place() > 0
        ? "%s: %s".formatted(l.part().title(), l.reading().at(l.place(), l.side()))
        : l.part().at(1, build.combination().bottomEnd());
  }

  /** A sum in the shop's currency. */
  public static String money(double amount) {
    return "%,.0f".formatted(amount);
  }

  private static void line(StringBuilder out, String name, String value) {
    out.append("<div><b>")
        .append(text(name))
        .append(":</b> ")
        .append(text(value))
        .append("</div>\n");
  }

  private static void row(StringBuilder out, String... cells) {
    out.append("<tr>");
    for (var c : cells) {
      out.append(c.startsWith("<td") ? c : "<td>" + c + "</td>");
    }
    out.append("</tr>\n");
  }

  private static String right(String words) {
    return "<td class=n>" + text(words) + "</td>";
  }

  /** Words as HTML shows them. */
  private static String text(String words) {
    return words
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
