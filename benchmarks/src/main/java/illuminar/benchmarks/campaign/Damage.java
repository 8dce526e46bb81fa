package illuminar.benchmarks.campaign;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;

/** Ways in which a file's bytes may be damaged; the same damage for the same seed. */
enum Damage {
  BITS {
    @Override
    byte[] of(byte[] file, Random chance) {
      byte[] out = file.clone();
      for (int k = 1 + chance.nextInt(30); k > 0; k--) {
        out[chance.nextInt(out.length)] ^= (byte) (1 << chance.nextInt(8));
      }
      return out;
    }
  },
  /** In the first kilobyte, where files say what they are and how large. */
  HEAD {
    @Override
    byte[] of(byte[] file, Random chance) {
      byte[] out = file.clone();
      for (int k = 1 + chance.nextInt(6); k > 0; k--) {
        out[chance.nextInt(Math.min(1024, out.length))] = (byte) chance.nextInt(256);
      }
      return out;
    }
  },
  CUT {
    @Override
    byte[] of(byte[] file, Random chance) {
      return Arrays.copyOf(file, chance.nextInt(file.length));
    }
  },
  /** Some block replaced by another of the same file. */
  MOVED {
    @Override
    byte[] of(byte[] file, Random chance) {
      byte[] out = file.clone();
      int length = 1 + chance.nextInt(Math.min(4096, out.length));
      System.arraycopy(
          file,
          chance.nextInt(file.length - length + 1),
          out,
          chance.nextInt(out.length - length + 1),
          length);
      return out;
    }
  },
  /** Four bytes that are the largest or smallest number, as lengths and sizes are written. */
  EXTREME {
    @Override
    byte[] of(byte[] file, Random chance) {
      byte[] out = file.clone();
      int at = chance.nextInt(Math.min(2048, out.length - 4));
      Arrays.fill(out, at, at + 4, (byte) (chance.nextBoolean() ? 0xff : 0));
      return out;
    }
  },
  /** Another kind of file under its name. */
  WORDS {
    @Override
    byte[] of(byte[] file, Random chance) {
      return ("no picture " + chance.nextLong())
          .repeat(1 + chance.nextInt(200))
          .getBytes(StandardCharsets.UTF_8);
    }
  };

  abstract byte[] of(byte[] file, Random chance);

  /** Damaged until it is another file; the same bytes would be the good one under another name. */
  byte[] done(byte[] file, Random chance) {
    byte[] out = of(file, chance);
    while (Arrays.equals(out, file)) {
      out = of(file, chance);
    }
    return out;
  }
}
