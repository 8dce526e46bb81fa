package illuminar.core.algebra;

import java.util.Arrays;

/**
 * The cheapest way to part the nodes of a graph into a near and a far side: the least cut, which is
 * the largest flow. A tree grows from either end; where they touch it flows, and what it fills up
 * is hung elsewhere. Source: Boykov, Kolmogorov, "An experimental comparison of min-cut/max-flow
 * algorithms for energy minimization in vision", 2004, with the times and distances of its section
 * 3.
 */
public final class Cut {
  private static final int NONE = -1;

  /** Instead of the edge to a parent: the node hangs from its end of the graph, or from nothing. */
  private static final int END = -2;

  private static final int LOOSE = -3;

  /** No tree, and the two. */
  private static final byte FREE = 0;

  private static final byte NEAR = 1;
  private static final byte FAR = 2;

  private final int nodes;
  private final int[] head;
  private int[] next = new int[64];
  private int[] to = new int[64];
  private int[] room = new int[64];
  private int edges;

  /** What can flow from the near end to a node, or below 0 from it to the far end. */
  private final int[] ends;

  private final byte[] tree;

  /** The edge from each node to its parent. */
  private final int[] parent;

  /** Steps to the end of its tree, as they were known at a time. */
  private final int[] steps;

  private final int[] known;
  private int time;
  private final Line active;
  private final Line loose;

  /**
   * @param nodes numbered from 0
   */
  public Cut(int nodes) {
    this.nodes = nodes;
    head = new int[nodes];
    Arrays.fill(head, NONE);
    ends = new int[nodes];
    tree = new byte[nodes];
    parent = new int[nodes];
    Arrays.fill(parent, NONE);
    steps = new int[nodes];
    known = new int[nodes];
    active = new Line(nodes);
    loose = new Line(nodes);
  }

  /** Nodes that wait, each once. */
  private static final class Line {
    private final int[] nodes;
    private final boolean[] in;
    private int first;
    private int count;

    Line(int size) {
      nodes = new int[size];
      in = new boolean[size];
    }

    void add(int node) {
      if (!in[node]) {
        in[node] = true;
        nodes[(first + count++) % nodes.length] = node;
      }
    }

    int take() {
      int node = nodes[first];
      first = (first + 1) % nodes.length;
      count--;
      in[node] = false;
      return node;
    }
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
    ends[node] += cost;
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
    for (int v = 0; v < nodes; v++) {
      if (ends[v] != 0) {
        tree[v] = ends[v] > 0 ? NEAR : FAR;
        parent[v] = END;
        steps[v] = 1;
        active.add(v);
      }
    }
    while (active.count > 0) {
      int v = active.take();
      for (int met = grown(v); met != NONE; met = grown(v)) {
        time++;
        flow(met);
        while (loose.count > 0) {
          hangAgain(loose.take());
        }
      }
    }
    boolean[] far = new boolean[nodes];
    for (int v = 0; v < nodes; v++) {
      far[v] = tree[v] != NEAR;
    }
    return far;
  }

  /** Grows a tree from a node; the edge on which it meets the other, from near to far. */
  private int grown(int v) {
    int back = tree[v] == FAR ? 1 : 0;
    for (int e = head[v]; e >= 0 && tree[v] != FREE; e = next[e]) {
      if (room[e ^ back] == 0) {
        continue;
      }
      int u = to[e];
      if (tree[u] == FREE) {
        tree[u] = tree[v];
        hang(u, e ^ 1, v);
        active.add(u);
      } else if (tree[u] != tree[v]) {
        return e ^ back;
      } else if (known[u] <= known[v] && steps[u] > steps[v]) {
        hang(u, e ^ 1, v);
      }
    }
    return NONE;
  }

  private void hang(int u, int edge, int from) {
    parent[u] = edge;
    known[u] = known[from];
    steps[u] = steps[from] + 1;
  }

  /** Sends what there is room for along the way over an edge on which the trees meet. */
  private void flow(int met) {
    int most = Math.min(room[met], Math.min(least(to[met ^ 1], 1), least(to[met], 0)));
    room[met] -= most;
    room[met ^ 1] += most;
    send(to[met ^ 1], 1, most);
    send(to[met], 0, most);
  }

  /**
   * The least room from a node to the end of its tree.
   *
   * @param back 1 where the flow comes from there
   */
  private int least(int node, int back) {
    int least = Integer.MAX_VALUE;
    int v = node;
    for (; parent[v] != END; v = to[parent[v]]) {
      least = Math.min(least, room[parent[v] ^ back]);
    }
    return Math.min(least, Math.abs(ends[v]));
  }

  private void send(int node, int back, int flow) {
    int v = node;
    while (parent[v] != END) {
      int e = parent[v];
      room[e ^ back] -= flow;
      room[e ^ back ^ 1] += flow;
      if (room[e ^ back] == 0) {
        parent[v] = LOOSE;
        loose.add(v);
      }
      v = to[e];
    }
    ends[v] += back == 1 ? -flow : flow;
    if (ends[v] == 0) {
      parent[v] = LOOSE;
      loose.add(v);
    }
  }

  /**
   * Hangs a node of which the way to its end is full from another of its tree; where there is none
   * it is free, and those that hung from it are next.
   */
  private void hangAgain(int v) {
    int back = tree[v] == NEAR ? 1 : 0;
    int best = NONE;
    int nearest = Integer.MAX_VALUE;
    for (int e = head[v]; e >= 0; e = next[e]) {
      if (room[e ^ back] > 0 && tree[to[e]] == tree[v]) {
        int far = toEnd(to[e]);
        if (far < nearest) {
          nearest = far;
          best = e;
        }
      }
    }
    parent[v] = best;
    if (best != NONE) {
      known[v] = time;
      steps[v] = nearest + 1;
      return;
    }
    for (int e = head[v]; e >= 0; e = next[e]) {
      int u = to[e];
      if (tree[u] == tree[v]) {
        if (room[e ^ back] > 0) {
          active.add(u);
        }
        if (parent[u] >= 0 && to[parent[u]] == v) {
          parent[u] = LOOSE;
          loose.add(u);
        }
      }
    }
    tree[v] = FREE;
  }

  /** Steps to the end of a node's tree; the most there is where it hangs loose. */
  private int toEnd(int node) {
    int count = 0;
    int v = node;
    while (known[v] != time) {
      if (parent[v] == END) {
        known[v] = time;
        steps[v] = 1;
      } else if (parent[v] < 0) {
        return Integer.MAX_VALUE;
      } else {
        count++;
        v = to[parent[v]];
      }
    }
    int far = count + steps[v];
    int left = far;
    for (v = node; known[v] != time; v = to[parent[v]]) {
      known[v] = time;
      steps[v] = left--;
    }
    return far;
  }
}
