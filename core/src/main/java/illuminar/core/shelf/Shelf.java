package illuminar.core.shelf;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * Keeps what was found beyond a run of the program. It may lose anything at any time; what is on it
 * is what would be found again. Safe for many threads.
 */
public interface Shelf {

  /** Keeps nothing. */
  Shelf NONE =
      new Shelf() {
        @Override
        public <T extends Record> Optional<T> find(Class<T> type, Object question) {
          return Optional.empty();
        }

        @Override
        public void put(Object question, Record found) {
          // forgotten
        }
      };

  /**
   * What lies here.
   *
   * @param question what it depends on beside the frames of the view: strings, numbers, lists,
   *     records of them
   */
  <T extends Record> Optional<T> find(Class<T> type, Object question);

  /** Puts something here, later perhaps. */
  void put(Object question, Record found);

  /** What lies here, or what is found now. */
  default <T extends Record> T get(Class<T> type, Object question, Supplier<T> make) {
    return find(type, question)
        .orElseGet(
            () -> {
              T made = make.get();
              put(question, made);
              return made;
            });
  }
}
