package illuminar.server.report;

import java.util.Base64;
import java.util.List;
import org.springframework.web.util.HtmlUtils;

/** A report as one page that needs nothing beside it. */
final class HtmlReport {
  private static final String STYLE =
      "body{font:15px/1.5 sans-serif;color:#1d1d1d;max-width:1000px;margin:40px auto;padding:0 20px}"
          + "h1{font-size:26px}h2{font-size:20px;margin-top:48px;border-top:1px solid #ccc;padding-top:16px}"
          + "h3{font-size:15px;margin-bottom:4px}figure{margin:0}img{width:100%}"
          + ".pair{display:grid;grid-template-columns:1fr 1fr;gap:16px}figcaption{color:#555}"
          + "@media print{section{break-inside:avoid}}";

  private HtmlReport() {}

  static String of(Report report) {
    StringBuilder out = new StringBuilder(1 << 20);
    String title = escaped("What was done: " + report.shoot());
    out.append("<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>")
        .append(title)
        .append("</title><style>")
        .append(STYLE)
        .append("</style></head><body><h1>")
        .append(title)
        .append("</h1><p>")
        .append(escaped(report.studio() + ", delivered " + report.made()))
        .append("</p>");
    report.views().forEach(v -> view(v, out));
    return out.append("</body></html>").toString();
  }

  private static void view(Report.ViewPart view, StringBuilder out) {
    out.append("<section><h2>").append(escaped(view.name())).append("</h2><div class=\"pair\">");
    picture("The camera's picture", view.before(), out);
    picture("As delivered", view.after(), out);
    out.append("</div></section>");
    list("Steps", "ol", view.steps(), out);
    list("Frames used", "ul", view.frames(), out);
    list("Surfaces, as they are now", "ul", view.surfaces(), out);
    list("Files", "ul", view.files(), out);
  }

  private static void picture(String caption, byte[] jpeg, StringBuilder out) {
    out.append("<figure><img alt=\"\" src=\"data:image/jpeg;base64,")
        .append(Base64.getEncoder().encodeToString(jpeg))
        .append("\"><figcaption>")
        .append(escaped(caption))
        .append("</figcaption></figure>");
  }

  private static void list(String title, String kind, List<String> lines, StringBuilder out) {
    if (lines.isEmpty()) {
      return;
    }
    out.append("<h3>").append(escaped(title)).append("</h3><").append(kind).append('>');
    lines.forEach(l -> out.append("<li>").append(escaped(l)).append("</li>"));
    out.append("</").append(kind).append('>');
  }

  private static String escaped(String text) {
    return HtmlUtils.htmlEscape(text, "UTF-8");
  }
}
