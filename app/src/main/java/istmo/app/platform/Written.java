package istmo.app.platform;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Answers that are written once and sent many times, kept packed as most browsers take them. */
@Component
public final class Written {
  private static final String PACKED = "gzip";

  private final JsonMapper json;

  Written(JsonMapper json) {
    this.json = json;
  }

  /** JSON of a view, packed. */
  public byte[] packed(Object view) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (GZIPOutputStream packing = new GZIPOutputStream(bytes)) {
      json.writeValue(packing, view);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  /**
   * The answer for somebody who accepts these encodings; unpacked for who does not take packed
   * ones.
   */
  public ResponseEntity<byte[]> answer(byte[] packed, @Nullable String accepted) {
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.ok()
            .contentType(MediaType.APPLICATION_JSON)
            .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
    if (accepted != null && accepted.contains(PACKED)) {
      return answer.header(HttpHeaders.CONTENT_ENCODING, PACKED).body(packed);
    }
    try (GZIPInputStream unpacking = new GZIPInputStream(new ByteArrayInputStream(packed))) {
      return answer.body(unpacking.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
