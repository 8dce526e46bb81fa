package illuminar.server.storage;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.UUID;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.NoSuchKeyException;

/**
 * Files in a bucket that any number of machines share, by the S3 protocol; copies of those read
 * lately lie in a folder of this machine.
 */
final class BucketStore implements Store, AutoCloseable {
  private final S3Client client;
  private final String bucket;
  private final Path copies;

  /**
   * @param copies folder for copies; what lies in it may be deleted at any time
   */
  BucketStore(Bucket at, Path copies) {
    bucket = at.name();
    this.copies = copies.toAbsolutePath();
    client =
        S3Client.builder()
            .endpointOverride(URI.create(at.address()))
            .region(Region.of(at.region()))
            .forcePathStyle(true)
            .credentialsProvider(
                StaticCredentialsProvider.create(AwsBasicCredentials.create(at.key(), at.secret())))
            .httpClientBuilder(UrlConnectionHttpClient.builder())
            .build();
  }

  @Override
  public void write(String name, WrittenWhole.Step write, WrittenWhole.Step check)
      throws IOException {
    Path copy = copies.resolve(name);
    Files.createDirectories(copy.getParent());
    WrittenWhole.write(
        copy,
        write,
        file -> {
          check.on(file);
          asked(
              name,
              () -> client.putObject(b -> b.bucket(bucket).key(name), RequestBody.fromFile(file)));
        });
  }

  @Override
  public Path find(String name) throws IOException {
    Path copy = copies.resolve(name);
    if (Files.exists(copy)) {
      Files.setLastModifiedTime(copy, FileTime.from(Instant.now()));
      return copy;
    }
    Files.createDirectories(copy.getParent());
    Path coming = copy.resolveSibling(UUID.randomUUID() + ".part");
    try {
      asked(name, () -> client.getObject(b -> b.bucket(bucket).key(name), coming));
      Files.move(coming, copy, StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(coming);
    }
    return copy;
  }

  @Override
  public boolean has(String name) throws IOException {
    try {
      asked(name, () -> client.headObject(b -> b.bucket(bucket).key(name)));
      return true;
    } catch (NoSuchFileException e) {
      return false;
    }
  }

  @Override
  public void letGo(String name) throws IOException {
    asked(name, () -> client.deleteObject(b -> b.bucket(bucket).key(name)));
    Files.deleteIfExists(copies.resolve(name));
  }

  private static void asked(String name, Runnable question) throws IOException {
    try {
      question.run();
    } catch (NoSuchKeyException e) {
      throw new NoSuchFileException(name);
    } catch (SdkException e) {
      throw new StoreAway(name, e);
    }
  }

  @Override
  public void close() {
    client.close();
  }
}
