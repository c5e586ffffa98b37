package istmo.app.exchange.web;

import istmo.app.clients.Clients;
import istmo.app.exchange.Archive;
import istmo.app.exchange.ArchiveDocument;
import istmo.app.exchange.ArchiveImport;
import istmo.app.exchange.Erasure;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.core.quantity.InvalidInput;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One client or the whole account as a file, out and in, docs/formats.md. */
@RestController
class ArchiveController {
  private static final int FIRST_FAULTS = 200;

  private final Archive archive;
  private final Erasure erasure;
  private final ArchiveImport imports;
  private final Clients clients;

  ArchiveController(Archive archive, Erasure erasure, ArchiveImport imports, Clients clients) {
    this.erasure = erasure;
    this.archive = archive;
    this.imports = imports;
    this.clients = clients;
  }

  /** Everything that is kept of one client, as one JSON file that can be brought in again. */
  @GetMapping("/api/clients/{id}/file")
  ResponseEntity<ArchiveDocument> client(@PathVariable UUID id) {
    ArchiveDocument document = archive.of(id);
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, named(document.clients().get(0).name() + ".json"))
        .body(document);
  }

  /** Everything that the coach keeps, as one JSON file that can be brought in again. */
  @GetMapping("/api/account/file")
  ResponseEntity<ArchiveDocument> account() {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, named("Istmo account.json"))
        .body(archive.account());
  }

  /** Every set of a client, for spreadsheets. */
  @GetMapping("/api/clients/{id}/record.csv")
  ResponseEntity<byte[]> sets(@PathVariable UUID id) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(HttpHeaders.CONTENT_DISPOSITION, named(clients.get(id).name() + ".csv"))
        .body(archive.sets(id).getBytes(StandardCharsets.UTF_8));
  }

  private static String named(String file) {
    return ContentDisposition.attachment()
        .filename(file, StandardCharsets.UTF_8)
        .build()
        .toString();
  }

  /**
   * gyms: which of the coach's gyms one of the file is, by its name there; names: how a client is
   * to be called here, empty to leave one out.
   */
  record ArchiveInput(
      String text, @MayBeMissing Map<String, UUID> gyms, @MayBeMissing Map<String, String> names) {
    ArchiveImport.ImportChoices wished() {
      new Needed().field("text", text).check();
      return new ArchiveImport.ImportChoices(
          gyms == null ? Map.of() : gyms, names == null ? Map.of() : names);
    }
  }

  /**
   * as: how it will be called here; missing where it is left out. taken: another client is called
   * that.
   */
  record ArchiveClientView(
      String name, int sessions, int sets, int weeks, @MayBeMissing String as, boolean taken) {}

  /** gymId: the gym that it will be; missing for a new one. items: how much equipment it has. */
  record ArchiveGymView(String name, int items, @MayBeMissing UUID gymId) {}

  record ArchiveFaultView(String field, String message) {}

  /** faults: the first ones; ready: nothing stands in the way. */
  record ArchivePreviewView(
      List<ArchiveClientView> clients,
      List<ArchiveGymView> gyms,
      int variants,
      int exercises,
      int schools,
      List<ArchiveFaultView> faults,
      int faultCount,
      boolean ready) {}

  /**
   * What bringing in an archive would do: clients, gyms, names that clash, and faults. Nothing is
   * stored.
   */
  @PostMapping("/api/archives/preview")
  ArchivePreviewView preview(@RequestBody ArchiveInput input) {
    ArchiveImport.Preview preview = imports.preview(input.text(), input.wished());
    return new ArchivePreviewView(
        preview.clients().stream()
            .map(
                line ->
                    new ArchiveClientView(
                        line.name(),
                        line.sessions(),
                        line.sets(),
                        line.weeks(),
                        line.as().orElse(null),
                        line.taken()))
            .toList(),
        preview.gyms().stream()
            .map(line -> new ArchiveGymView(line.name(), line.items(), line.here().orElse(null)))
            .toList(),
        preview.variants(),
        preview.exercises(),
        preview.schools(),
        preview.faults().stream()
            .limit(FIRST_FAULTS)
            .map(fault -> new ArchiveFaultView(fault.field(), fault.message()))
            .toList(),
        preview.faults().size(),
        preview.ready());
  }

  /** clients: their ids here, by the name in the file. */
  record ArchiveImportResultView(Map<String, UUID> clients, int sessions, int sets, int weeks) {}

  /** All of it or nothing. */
  @PostMapping("/api/archives")
  @ResponseStatus(HttpStatus.CREATED)
  ArchiveImportResultView bring(@RequestBody ArchiveInput input) {
    ArchiveImport.ImportResult result = imports.bring(input.text(), input.wished());
    return new ArchiveImportResultView(
        result.clients(), result.sessions(), result.sets(), result.weeks());
  }

  /** Erases for good; {@code name} must be the client's, so that nobody is erased by a slip. */
  @DeleteMapping("/api/clients/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void erase(@PathVariable UUID id, @RequestParam String name) {
    if (!clients.get(id).name().equals(name)) {
      throw new InvalidInput("name", "is not this client's name; nothing was erased");
    }
    erasure.erase(id);
  }
}
