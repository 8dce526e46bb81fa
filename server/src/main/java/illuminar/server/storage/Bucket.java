package illuminar.server.storage;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * A bucket of the S3 protocol where originals, what was sent and what was delivered lie.
 *
 * @param address of the service, empty where a folder serves
 * @param key who asks
 * @param secret by which the service knows him
 */
@ConfigurationProperties("illuminar.bucket")
public record Bucket(String address, String region, String name, String key, String secret) {}
