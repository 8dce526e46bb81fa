package illuminar.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Goals are bounds from above or from below; our own rules, no source. */
class TableTest {

  @Test
  void aBoundFromAboveIsMetUpToItself() {
    assertThat(new Table.Row("v", "m", 2, "px", 2, true).met()).isTrue();
    assertThat(new Table.Row("v", "m", 2.01, "px", 2, true).met()).isFalse();
    assertThat(new Table.Row("v", "m", Double.NaN, "px", 2, true).met())
        .as("what could not be measured is not met")
        .isFalse();
  }

  @Test
  void aBoundFromBelowIsMetDownToItself() {
    assertThat(new Table.Row("v", "m", 2, "px", 2, false).met()).isTrue();
    assertThat(new Table.Row("v", "m", 1.99, "px", 2, false).met()).isFalse();
    assertThat(new Table.Row("v", "m", Double.NaN, "px", 2, false).met()).isFalse();
  }

  @Test
  void rowsStayInOrder() {
    Table table = new Table();
    table.most("a", "first", 1, "px", 2);
    table.least("b", "second", 3, "%", 4);
    assertThat(table.rows()).extracting(Table.Row::measure).containsExactly("first", "second");
    assertThat(table.rows()).extracting(Table.Row::met).containsExactly(true, false);
  }
}
