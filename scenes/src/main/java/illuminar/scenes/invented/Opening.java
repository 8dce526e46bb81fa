package illuminar.scenes.invented;

import illuminar.scenes.rooms.Joinery;

/**
 * A glazed hole in a wall of an invented room.
 *
 * @param wall which wall it is in
 * @param across panes beside one another
 */
record Opening(Wall wall, Joinery.Hole hole, int across, int down) {
  enum Wall {
    END,
    LEFT,
    RIGHT
  }

  /** Whether it reaches the floor. */
  boolean door() {
    return hole.y0() < 0.1;
  }
}
