package illuminar.core.algebra;

import java.util.Arrays;

/**
 * The cheapest way to part the nodes of a graph into a near and a far side: the least cut, which is
 * the largest flow. Source: Dinic, Algorithm for solution of a problem of maximum flow, 1970.
 */
public final class Cut {
  private final int nodes;
  private final int[] head;
  private final int[] level;
  private final int[] at;
  private final int[] line;
  private int[] next = new int[64];
  private int[] to = new int[64];
  private int[] room = new int[64];
  private int edges;

  /**
   * @param nodes numbered from 0
   */
  public Cut(int nodes) {
    this.nodes = nodes;
    head = new int[nodes + 2];
    level = new int[nodes + 2];
    at = new int[nodes + 2];
    line = new int[nodes + 2];
    Arrays.fill(head, -1);
  }

  /**
   * What it costs to part two nodes.
   *
   * @param cost when {@code a} is near and {@code b} far, at least 0
   * @param back when it is the other way round
   */
  public void between(int a, int b, int cost, int back) {
    edge(a, b, cost);
    edge(b, a, back);
  }

  /** What it costs to have a node on the far side beyond what it costs on the near one. */
  public void far(int node, int cost) {
    if (cost > 0) {
      between(nodes, node, cost, 0);
    } else if (cost < 0) {
      between(node, nodes + 1, -cost, 0);
    }
  }

  private void edge(int a, int b, int cost) {
    if (edges == to.length) {
      next = Arrays.copyOf(next, 2 * edges);
      to = Arrays.copyOf(to, 2 * edges);
      room = Arrays.copyOf(room, 2 * edges);
    }
    to[edges] = b;
    room[edges] = cost;
    next[edges] = head[a];
    head[a] = edges++;
  }

  /** Which nodes are far in the cheapest cut; asked for once. */
  public boolean[] farSide() {
    while (levels()) {
      System.arraycopy(head, 0, at, 0, head.length);
      push();
    }
    boolean[] far = new boolean[nodes];
    for (int i = 0; i < nodes; i++) {
      far[i] = level[i] < 0;
    }
    return far;
  }

  /** Steps of each node from the near end where there is room; whether the far end is reached. */
  private boolean levels() {
    Arrays.fill(level, -1);
    level[nodes] = 0;
    line[0] = nodes;
    int count = 1;
    for (int k = 0; k < count; k++) {
      int v = line[k];
      for (int e = head[v]; e >= 0; e = next[e]) {
        if (room[e] > 0 && level[to[e]] < 0) {
          level[to[e]] = level[v] + 1;
          line[count++] = to[e];
        }
      }
    }
    return level[nodes + 1] >= 0;
  }

  /** Fills every way along rising levels. */
  private void push() {
    int[] way = line;
    int steps = 0;
    int v = nodes;
    while (true) {
      if (v == nodes + 1) {
        steps = fill(way, steps);
        v = to[way[steps] ^ 1];
        continue;
      }
      int e = at[v];
      while (e >= 0 && (room[e] <= 0 || level[to[e]] != level[v] + 1)) {
        e = next[e];
      }
      at[v] = e;
      if (e >= 0) {
        way[steps++] = e;
        v = to[e];
      } else if (steps == 0) {
        return;
      } else {
        level[v] = -1;
        v = to[way[--steps] ^ 1];
      }
    }
  }

  /** Sends what a way has room for; the step that is full then, the first of them. */
  private int fill(int[] way, int steps) {
    int least = Integer.MAX_VALUE;
    int first = 0;
    for (int k = 0; k < steps; k++) {
      if (room[way[k]] < least) {
        least = room[way[k]];
        first = k;
      }
    }
    for (int k = 0; k < steps; k++) {
      room[way[k]] -= least;
      room[way[k] ^ 1] += least;
    }
    return first;
  }
}
