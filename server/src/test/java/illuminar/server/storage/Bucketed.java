package illuminar.server.storage;

import java.io.IOException;
import java.net.URI;
import org.gaul.s3proxy.S3Proxy;
import org.gaul.s3proxy.auth.AuthenticationType;
import org.gaul.s3proxy.nio2blob.TransientNio2BlobStore;

/** A service of the S3 protocol in memory, on a free port of loopback, with one bucket. */
public final class Bucketed implements AutoCloseable {
  private static final String NAME = "pictures";
  private static final String KEY = "who";
  private static final String SECRET = "secret";

  private final S3Proxy proxy;

  public Bucketed() throws Exception {
    TransientNio2BlobStore store = new TransientNio2BlobStore();
    store.createContainer(NAME);
    proxy =
        S3Proxy.builder()
            .endpoint(URI.create("http://127.0.0.1:0"))
            .awsAuthentication(AuthenticationType.AWS_V2_OR_V4, KEY, SECRET)
            .blobStore(store)
            .build();
    proxy.start();
  }

  public Bucket bucket() {
    return new Bucket("http://127.0.0.1:" + proxy.getPort(), "us-east-1", NAME, KEY, SECRET);
  }

  @Override
  public void close() throws IOException {
    try {
      proxy.stop();
    } catch (Exception e) {
      throw new IOException(e);
    }
  }
}
