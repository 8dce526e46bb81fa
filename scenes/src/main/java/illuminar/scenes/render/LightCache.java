package illuminar.scenes.render;

import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicIntegerArray;
import java.util.concurrent.atomic.AtomicLongArray;

/**
 * Light that has been found to arrive in small cells of surfaces, so that a path may end where
 * others have been before. Source: Binder, Fricke, Keller, "Fast path space filtering by jittered
 * spatial hashing", 2018. Sums are whole numbers, so that the order in which threads add does not
 * matter; safe for many threads.
 */
final class LightCache {
  private static final int SLOTS = 1 << 19;
  private static final int LEAST = 24;
  private static final double UNIT = 1 << 22;
  private static final long NONE = 0;

  private final int values;
  private final float cell;
  private final AtomicLongArray keys = new AtomicLongArray(SLOTS);
  private final AtomicIntegerArray counts = new AtomicIntegerArray(SLOTS);
  private final AtomicLongArray sums;
  private final int[] settledCount = new int[SLOTS];
  private final float[] settled;

  /**
   * @param values numbers kept for each cell
   * @param cell edge of a cell, metres
   */
  LightCache(int values, float cell) {
    this.values = values;
    this.cell = cell;
    sums = new AtomicLongArray(SLOTS * values);
    settled = new float[SLOTS * values];
  }

  private long key(float x, float y, float z, float nx, float ny, float nz) {
    float ax = Math.abs(nx);
    float ay = Math.abs(ny);
    float az = Math.abs(nz);
    int side =
        ax >= ay && ax >= az ? (nx > 0 ? 1 : 2) : ay >= az ? (ny > 0 ? 3 : 4) : (nz > 0 ? 5 : 6);
    long ix = (long) Math.floor(x / cell) + (1 << 19);
    long iy = (long) Math.floor(y / cell) + (1 << 19);
    long iz = (long) Math.floor(z / cell) + (1 << 19);
    return (ix << 43) ^ (iy << 23) ^ (iz << 3) ^ side;
  }

  private int slot(long key, boolean make) {
    long h = key * 0x9E3779B97F4A7C15L;
    int slot = (int) (h >>> 45);
    for (int tries = 0; tries < 64; tries++) {
      long there = keys.get(slot);
      if (there == key) {
        return slot;
      }
      if (there == NONE) {
        if (!make) {
          return -1;
        }
        if (keys.compareAndSet(slot, NONE, key) || keys.get(slot) == key) {
          return slot;
        }
      }
      slot = (slot + 1) & (SLOTS - 1);
    }
    return -1;
  }

  /** Notes what arrives at a point; to be read after {@link #settle}. */
  void note(float x, float y, float z, float nx, float ny, float nz, float[] light) {
    int slot = slot(key(x, y, z, nx, ny, nz), true);
    if (slot < 0) {
      return;
    }
    counts.incrementAndGet(slot);
    for (int i = 0; i < values; i++) {
      if (light[i] != 0) {
        sums.addAndGet(slot * values + i, Math.round(light[i] * UNIT));
      }
    }
  }

  /** Makes all that was noted readable. Not while others read or note. */
  void settle() {
    for (int slot = 0; slot < SLOTS; slot++) {
      int n = counts.get(slot);
      settledCount[slot] = n;
      for (int i = 0; i < values && n > 0; i++) {
        settled[slot * values + i] = (float) (sums.get(slot * values + i) / UNIT / n);
      }
    }
  }

  /**
   * Writes what arrives near a point; looks up to half a cell aside, so that cells cannot be seen.
   *
   * @return false if too little is known there
   */
  boolean read(
      float x,
      float y,
      float z,
      float nx,
      float ny,
      float nz,
      SplittableRandom random,
      float[] into) {
    float jx = x + cell * ((float) random.nextDouble() - 0.5f);
    float jy = y + cell * ((float) random.nextDouble() - 0.5f);
    float jz = z + cell * ((float) random.nextDouble() - 0.5f);
    // aside along the surface only
    float off = (jx - x) * nx + (jy - y) * ny + (jz - z) * nz;
    int slot = slot(key(jx - off * nx, jy - off * ny, jz - off * nz, nx, ny, nz), false);
    if (slot < 0 || settledCount[slot] < LEAST) {
      slot = slot(key(x, y, z, nx, ny, nz), false);
    }
    if (slot < 0 || settledCount[slot] < LEAST) {
      return false;
    }
    System.arraycopy(settled, slot * values, into, 0, values);
    return true;
  }
}
