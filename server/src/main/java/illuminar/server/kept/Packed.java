package illuminar.server.kept;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Records as bytes and back, exactly: records of the core with strings, numbers, truths, enums,
 * arrays, lists and optional values of such. Equal values give equal bytes, so that they also serve
 * as keys. The bytes mean something to the same version of the core only.
 */
final class Packed {
  private static final String OURS = "illuminar.core.";

  private Packed() {}

  /** Writes a value. */
  static void write(Object value, OutputStream to) throws IOException {
    DataOutputStream out = new DataOutputStream(to);
    put(value, out);
    out.flush();
  }

  /** The bytes of a value. */
  static byte[] bytes(Object value) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      write(value, out);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return out.toByteArray();
  }

  /**
   * Reads a value.
   *
   * @throws IOException if these are not the bytes of one
   */
  static <T> T read(Class<T> type, InputStream from) throws IOException {
    try {
      return type.cast(take(new DataInputStream(from)));
    } catch (ReflectiveOperationException | RuntimeException e) {
      throw new IOException("not what was packed: " + e.getMessage(), e);
    }
  }

  /** The value of bytes. */
  static <T> T read(Class<T> type, byte[] bytes) throws IOException {
    return read(type, new ByteArrayInputStream(bytes));
  }

  private static void put(Object value, DataOutputStream out) throws IOException {
    if (value instanceof Record record) {
      out.writeByte('R');
      out.writeUTF(record.getClass().getName());
      for (RecordComponent c : record.getClass().getRecordComponents()) {
        put(component(record, c), out);
      }
    } else if (value instanceof String s) {
      out.writeByte('S');
      out.writeUTF(s);
    } else if (value instanceof Double d) {
      out.writeByte('D');
      out.writeDouble(d);
    } else if (value instanceof Float f) {
      out.writeByte('F');
      out.writeFloat(f);
    } else if (value instanceof Integer i) {
      out.writeByte('I');
      out.writeInt(i);
    } else if (value instanceof Boolean b) {
      out.writeByte(b ? 'T' : 'N');
    } else if (value instanceof Enum<?> e) {
      out.writeByte('E');
      out.writeUTF(e.getDeclaringClass().getName());
      out.writeUTF(e.name());
    } else if (value instanceof Optional<?> o) {
      putAll('O', o.stream().toList(), out);
    } else if (value instanceof List<?> l) {
      putAll('L', l, out);
    } else if (value.getClass().isArray()) {
      putArray(value, out);
    } else {
      throw new IllegalArgumentException(value.getClass() + " cannot be packed");
    }
  }

  private static Object component(Record record, RecordComponent c) {
    try {
      c.getAccessor().setAccessible(true);
      return c.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalArgumentException(e);
    }
  }

  private static void putAll(char kind, List<?> values, DataOutputStream out) throws IOException {
    out.writeByte(kind);
    out.writeInt(values.size());
    for (Object v : values) {
      put(v, out);
    }
  }

  private static void putArray(Object array, DataOutputStream out) throws IOException {
    int n = Array.getLength(array);
    if (array instanceof float[] floats) {
      out.writeByte('f');
      out.writeInt(n);
      putFloats(floats, out);
    } else if (array instanceof double[] doubles) {
      out.writeByte('d');
      out.writeInt(n);
      byte[] bytes = new byte[8 * n];
      ByteBuffer.wrap(bytes).asDoubleBuffer().put(doubles);
      out.write(bytes);
    } else if (array instanceof int[] ints) {
      out.writeByte('i');
      out.writeInt(n);
      byte[] bytes = new byte[4 * n];
      ByteBuffer.wrap(bytes).asIntBuffer().put(ints);
      out.write(bytes);
    } else {
      out.writeByte('A');
      out.writeUTF(array.getClass().getComponentType().getName());
      putAll('L', Arrays.asList((Object[]) array), out);
    }
  }

  /** Equal values in a row from which on they are written once; maps are even over wide parts. */
  private static final int RUN = 8;

  /** In turns: how many values follow, these, and how often the last of them comes again. */
  private static void putFloats(float[] values, DataOutputStream out) throws IOException {
    int at = 0;
    while (at < values.length) {
      int end = at + 1;
      int again = again(values, end);
      while (again < RUN && end + again < values.length) {
        end += again + 1;
        again = again(values, end);
      }
      if (again < RUN) {
        end += again;
        again = 0;
      }
      out.writeInt(end - at);
      byte[] bytes = new byte[4 * (end - at)];
      ByteBuffer.wrap(bytes).asFloatBuffer().put(values, at, end - at);
      out.write(bytes);
      out.writeInt(again);
      at = end + again;
    }
  }

  /** How often the value before a place comes again from there on. */
  private static int again(float[] values, int from) {
    int bits = Float.floatToRawIntBits(values[from - 1]);
    int end = from;
    while (end < values.length && Float.floatToRawIntBits(values[end]) == bits) {
      end++;
    }
    return end - from;
  }

  private static void takeFloats(float[] out, DataInputStream in) throws IOException {
    int at = 0;
    while (at < out.length) {
      int n = in.readInt();
      if (n < 1 || n > out.length - at) {
        throw new IOException("not what was packed");
      }
      byte[] bytes = in.readNBytes(4 * n);
      ByteBuffer.wrap(bytes).asFloatBuffer().get(out, at, n);
      at += n;
      int again = in.readInt();
      Arrays.fill(out, at, at + again, out[at - 1]);
      at += again;
    }
  }

  private static Object take(DataInputStream in) throws IOException, ReflectiveOperationException {
    int kind = in.readUnsignedByte();
    return switch (kind) {
      case 'R' -> record(in);
      case 'S' -> in.readUTF();
      case 'D' -> in.readDouble();
      case 'F' -> in.readFloat();
      case 'I' -> in.readInt();
      case 'T' -> true;
      case 'N' -> false;
      case 'E' -> constant(in.readUTF(), in.readUTF());
      case 'O' -> all(in).stream().findFirst();
      case 'L' -> List.copyOf(all(in));
      case 'f' -> {
        float[] out = new float[in.readInt()];
        takeFloats(out, in);
        yield out;
      }
      case 'd' -> {
        double[] out = new double[in.readInt()];
        ByteBuffer.wrap(in.readNBytes(8 * out.length)).asDoubleBuffer().get(out);
        yield out;
      }
      case 'i' -> {
        int[] out = new int[in.readInt()];
        ByteBuffer.wrap(in.readNBytes(4 * out.length)).asIntBuffer().get(out);
        yield out;
      }
      case 'A' -> array(in);
      default -> throw new IOException("no value begins with " + kind);
    };
  }

  private static Class<?> ours(String name) throws ClassNotFoundException, IOException {
    if (!name.startsWith(OURS)) {
      throw new IOException(name + " is none of ours");
    }
    return Class.forName(name);
  }

  private static Object record(DataInputStream in)
      throws IOException, ReflectiveOperationException {
    Class<?> type = ours(in.readUTF());
    RecordComponent[] components = type.getRecordComponents();
    Class<?>[] types = new Class<?>[components.length];
    Object[] values = new Object[components.length];
    for (int i = 0; i < values.length; i++) {
      types[i] = components[i].getType();
      values[i] = take(in);
    }
    Constructor<?> made = type.getDeclaredConstructor(types);
    made.setAccessible(true);
    return made.newInstance(values);
  }

  private static Object constant(String type, String name)
      throws IOException, ClassNotFoundException {
    for (Object c : ours(type).getEnumConstants()) {
      if (((Enum<?>) c).name().equals(name)) {
        return c;
      }
    }
    throw new IOException(type + " has no " + name);
  }

  private static List<Object> all(DataInputStream in)
      throws IOException, ReflectiveOperationException {
    int n = in.readInt();
    List<Object> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      out.add(take(in));
    }
    return out;
  }

  private static Object array(DataInputStream in) throws IOException, ReflectiveOperationException {
    Class<?> of = ours(in.readUTF());
    in.readUnsignedByte();
    List<Object> values = all(in);
    Object out = Array.newInstance(of, values.size());
    for (int i = 0; i < values.size(); i++) {
      Array.set(out, i, values.get(i));
    }
    return out;
  }
}
