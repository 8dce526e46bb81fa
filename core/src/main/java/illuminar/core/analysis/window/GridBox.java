package illuminar.core.analysis.window;

/** A box of pixels, its right and bottom ends not part of it. */
record GridBox(int left, int top, int right, int bottom) {
  int size() {
    return (right - left) * (bottom - top);
  }

  GridBox with(GridBox o) {
    return new GridBox(
        Math.min(left, o.left),
        Math.min(top, o.top),
        Math.max(right, o.right),
        Math.max(bottom, o.bottom));
  }

  boolean near(GridBox o, int gap) {
    return left - gap < o.right
        && o.left - gap < right
        && top - gap < o.bottom
        && o.top - gap < bottom;
  }
}
