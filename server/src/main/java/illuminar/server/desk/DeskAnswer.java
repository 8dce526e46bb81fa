package illuminar.server.desk;

import java.util.List;

/**
 * What a listing desk says of a picture.
 *
 * @param objections each a sentence; none for a picture that is accepted
 */
record DeskAnswer(boolean accepted, List<String> objections) {
  DeskAnswer {
    objections = objections == null ? List.of() : List.copyOf(objections);
  }
}
