package illuminar.scenes.invented;

/**
 * A glazed hole in a wall of an invented room.
 *
 * @param wall which wall it is in
 * @param x0 metres along the wall; likewise the others
 * @param across panes beside one another
 */
record Opening(Wall wall, double x0, double y0, double x1, double y1, int across, int down) {
  enum Wall {
    END,
    LEFT,
    RIGHT
  }

  double[] hole() {
    return new double[] {x0, y0, x1, y1};
  }

  double wide() {
    return x1 - x0;
  }
}
