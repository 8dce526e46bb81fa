package illuminar.server.desk;

import illuminar.server.web.Problem;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The listing desk that pictures are sent to: where none is set up, a stand-in that ships. */
@Component
class ListingDesk implements DisposableBean {
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private final String address;
  private final HttpClient client = HttpClient.newHttpClient();
  private StandInDesk standIn;

  /**
   * @param address that pictures are sent to; empty for the stand-in
   */
  ListingDesk(@Value("${illuminar.desk}") String address) {
    this.address = address;
  }

  private synchronized URI at() throws IOException {
    if (!address.isBlank()) {
      return URI.create(address);
    }
    if (standIn == null) {
      standIn = new StandInDesk();
    }
    return standIn.address();
  }

  /** Whether the desk is the stand-in. */
  boolean simulated() {
    return address.isBlank();
  }

  /**
   * Sends a picture and waits for the answer.
   *
   * @throws Problem if the desk does not answer, or not as it should
   */
  DeskAnswer send(Path file, String mediaType) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(at())
            .timeout(PATIENCE)
            .header("Content-Type", mediaType)
            .POST(HttpRequest.BodyPublishers.ofFile(file))
            .build();
    HttpResponse<String> answer;
    try {
      answer = client.send(request, HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw away("it was called off");
    } catch (IOException e) {
      throw away("it cannot be reached");
    }
    if (answer.statusCode() != HttpStatus.OK.value()) {
      throw away("it answers with " + answer.statusCode());
    }
    try {
      return JsonMapper.shared().readValue(answer.body(), DeskAnswer.class);
    } catch (JacksonException e) {
      throw away("its answer cannot be read");
    }
  }

  private static Problem away(String why) {
    return new Problem(
        HttpStatus.BAD_GATEWAY, "The listing desk has said nothing: " + why + ". Send it again.");
  }

  @Override
  public synchronized void destroy() {
    if (standIn != null) {
      standIn.close();
    }
  }
}
