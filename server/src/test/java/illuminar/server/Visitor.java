package illuminar.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks HTTP to the application as a browser would: cookies, CSRF token, editions. */
public final class Visitor {
  public static final JsonMapper JSON = JsonMapper.builder().build();

  /** How long is waited for anything before a test gives up: hosts are shared and may be slow. */
  public static final Duration PATIENCE = Duration.ofMinutes(4);

  private String url;
  private final CookieManager cookies = new CookieManager();
  final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();

  public Visitor(String url) {
    this.url = url;
  }

  /** The application is at another port now; cookies stay. */
  public void moved(String to) {
    url = to;
  }

  public Visitor signedIn() {
    return signedIn("demo@illuminar.test", "heather");
  }

  Visitor signedIn(String email, String password) {
    get("/api/session");
    post("/api/session", "{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}");
    get("/api/session");
    return this;
  }

  String token() {
    return cookies.getCookieStore().getCookies().stream()
        .filter(c -> c.getName().equals("XSRF-TOKEN"))
        .map(HttpCookie::getValue)
        .findFirst()
        .orElse("");
  }

  /** A request of any method, with more headers. */
  public HttpResponse<String> send(String method, String path, String body, String... headers) {
    return send(HttpResponse.BodyHandlers.ofString(), method, path, body, headers);
  }

  /** A change that lacks the token of its page, as another site would send it. */
  HttpResponse<String> withoutToken(String path, String body) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(url + path))
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .header("Content-Type", "application/json")
            .build();
    try {
      return client.send(request, HttpResponse.BodyHandlers.ofString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What is answered with a picture. */
  HttpResponse<byte[]> postForBytes(String path, String body) {
    return send(HttpResponse.BodyHandlers.ofByteArray(), "POST", path, body);
  }

  private <T> HttpResponse<T> send(
      HttpResponse.BodyHandler<T> as, String method, String path, String body, String... headers) {
    HttpRequest.Builder b =
        HttpRequest.newBuilder(URI.create(url + path))
            .method(
                method,
                body == null
                    ? HttpRequest.BodyPublishers.noBody()
                    : HttpRequest.BodyPublishers.ofString(body))
            .header("Content-Type", "application/json")
            .header("X-XSRF-TOKEN", token());
    if (headers.length > 0) {
      b.headers(headers);
    }
    try {
      return client.send(b.build(), as);
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** One request of the tus protocol with its version. */
  public HttpResponse<String> tus(String method, String path, byte[] body, String... headers) {
    HttpRequest.Builder b =
        HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : url + path))
            .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
            .header("Tus-Resumable", "1.0.0")
            .header("X-XSRF-TOKEN", token());
    if (headers.length > 0) {
      b.headers(headers);
    }
    try {
      return client.send(b.build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  public byte[] bytes(String path) {
    return send(HttpResponse.BodyHandlers.ofByteArray(), "GET", path, null).body();
  }

  public HttpResponse<String> get(String path) {
    return send("GET", path, null);
  }

  public HttpResponse<String> post(String path, String body) {
    return send("POST", path, body);
  }

  public JsonNode json(String path) {
    return JSON.readTree(get(path).body());
  }

  public String demoShoot() {
    return json("/api/shoots").get(0).path("id").asString();
  }

  /** Takes in the whole card as the server groups it; returns the job. */
  public JsonNode takeInCard(String shoot) {
    JsonNode card = json("/api/shoots/" + shoot + "/waiting");
    return JSON.readTree(
        post("/api/shoots/" + shoot + "/intake", card.toString().replaceAll(",\"refused\":.*", "}"))
            .body());
  }

  /** Orders views as files of full size; returns the job, or why it is refused. */
  public JsonNode deliver(String shoot, List<String> views, String... formats) {
    return JSON.readTree(
        post("/api/shoots/" + shoot + "/delivery", order(views, 0, formats)).body());
  }

  /**
   * An order of one specification a format.
   *
   * @param edge pixels of the long edge, 0 for full size
   */
  public static String order(List<String> views, int edge, String... formats) {
    List<Map<String, Object>> specifications = new ArrayList<>();
    for (String format : formats) {
      String pattern = format.endsWith("_8") ? "{view}-8" : edge == 0 ? "{view}" : "{view}-{size}";
      specifications.add(specification(format, edge, pattern));
    }
    return order(views, specifications);
  }

  /** An order as JSON. */
  public static String order(List<String> views, List<Map<String, Object>> specifications) {
    Map<String, Object> credits =
        Map.of(
            "creator", "",
            "copyright", "© Heathlight",
            "caption", "",
            "property", "",
            "keywords", List.of());
    return JSON.writeValueAsString(
        Map.of("views", views, "specifications", specifications, "credits", credits));
  }

  /**
   * A specification that has its format's name.
   *
   * @param edge pixels of the long edge, 0 for full size
   * @param other names and values that differ
   */
  public static Map<String, Object> specification(
      String format, int edge, String pattern, Object... other) {
    Map<String, Object> out = new LinkedHashMap<>();
    out.put("name", format);
    String kind = edge == 0 ? "FULL" : "LONG_EDGE";
    out.put("size", Map.of("kind", kind, "width", edge, "height", 0, "ppi", 0));
    out.put("format", format);
    out.put("space", "SRGB");
    out.put("quality", 92);
    out.put("fullChroma", false);
    out.put("mostBytes", 0);
    out.put("sharpness", "NONE");
    out.put("pattern", pattern);
    out.put("watermark", watermark("", 0.03));
    for (int k = 0; k < other.length; k += 2) {
      out.put((String) other[k], other[k + 1]);
    }
    return out;
  }

  /**
   * A watermark in the lower right.
   *
   * @param size share of the long edge
   */
  static Map<String, Object> watermark(String text, double size) {
    return Map.of("text", text, "place", "LOWER_RIGHT", "size", size, "strength", 0.8);
  }

  /** Takes in the whole card and waits; the id of the shoot's first view. */
  String firstView(String shoot) {
    done(shoot, takeInCard(shoot).path("id").asString());
    return json("/api/shoots/" + shoot).at("/views/0/id").asString();
  }

  /** Waits for a job of the shoot to be as wanted; polls, and gives up after a while. */
  JsonNode await(String shoot, String job, Predicate<JsonNode> wanted) {
    return await(shoot, job, wanted, PATIENCE);
  }

  private JsonNode await(String shoot, String job, Predicate<JsonNode> wanted, Duration patience) {
    long end = System.nanoTime() + patience.toNanos();
    while (System.nanoTime() < end) {
      for (JsonNode j : json("/api/shoots/" + shoot + "/jobs")) {
        if (j.path("id").asString().equals(job) && wanted.test(j)) {
          return j;
        }
      }
      java.util.concurrent.locks.LockSupport.parkNanos(100_000_000L);
    }
    throw new AssertionError(
        "job did not come so far: " + get("/api/shoots/" + shoot + "/jobs").body());
  }

  JsonNode done(String shoot, String job) {
    return done(shoot, job, PATIENCE);
  }

  /** Waits for a job of the shoot to be over. */
  public JsonNode done(String shoot, String job, Duration patience) {
    return await(shoot, job, j -> !j.path("state").asString().matches("WAITING|RUNNING"), patience);
  }
}
