package istmo.app.exchange.web;

import istmo.app.clients.Clients;
import istmo.app.exchange.SetsImport;
import istmo.app.exchange.SetsTable;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.Needed;
import istmo.app.sessions.EarlierSets;
import istmo.core.catalogue.CandidateId;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Earlier sets brought in from a spreadsheet, docs/formats.md. */
@RestController
class ImportController {
  private static final int FIRST_ROWS = 8;

  private final SetsImport imports;
  private final Clients clients;

  ImportController(SetsImport imports, Clients clients) {
    this.imports = imports;
    this.clients = clients;
  }

  /**
   * columns: what a column holds, by its number from 0, where it is not recognised; exercises: the
   * candidate that a name stands for, empty to leave it out.
   */
  record ImportInput(
      @MayBeMissing UUID gymId,
      String text,
      @MayBeMissing Map<Integer, SetsTable.Field> columns,
      @MayBeMissing SetsTable.Unit unit,
      @MayBeMissing SetsTable.Days days,
      @MayBeMissing Map<String, String> exercises) {
    SetsTable.ReadingChoices wished() {
      new Needed().field("text", text).check();
      return new SetsTable.ReadingChoices(
          columns == null ? Map.of() : columns,
          Optional.ofNullable(unit),
          Optional.ofNullable(days));
    }

    Map<String, String> named() {
      return exercises == null ? Map.of() : new HashMap<>(exercises);
    }
  }

  record ImportColumnView(String header, String sample, SetsTable.Field field) {}

  record ImportExerciseView(
      String name, int sets, @MayBeMissing CandidateId candidateId, boolean skipped) {}

  record ImportFaultView(String field, String message) {}

  record ImportRowView(
      int line,
      LocalDate on,
      String exercise,
      double loadKg,
      int repetitions,
      double reserve,
      String side) {}

  /** faults: the first ones, each with line and column; ready: nothing stands in the way. */
  record ImportPreviewView(
      String separator,
      List<ImportColumnView> columns,
      SetsTable.Unit unit,
      SetsTable.Days days,
      int sets,
      @MayBeMissing LocalDate from,
      @MayBeMissing LocalDate to,
      List<ImportRowView> first,
      List<ImportExerciseView> exercises,
      List<ImportFaultView> faults,
      int faultCount,
      boolean ready) {}

  /**
   * What would be read from a table of sets: columns, exercises, dates, loads, and what is unclear.
   * Nothing is stored.
   */
  @PostMapping("/api/clients/{clientId}/imports/preview")
  ImportPreviewView preview(@PathVariable UUID clientId, @RequestBody ImportInput input) {
    clients.get(clientId);
    SetsImport.Preview preview = imports.preview(input.text(), input.wished(), input.named());
    SetsTable table = preview.table();
    return new ImportPreviewView(
        String.valueOf(table.separator()),
        table.columns().stream()
            .map(column -> new ImportColumnView(column.header(), column.sample(), column.field()))
            .toList(),
        table.unit(),
        table.days(),
        table.rows().size(),
        table.rows().stream().map(SetsTable.Row::on).min(LocalDate::compareTo).orElse(null),
        table.rows().stream().map(SetsTable.Row::on).max(LocalDate::compareTo).orElse(null),
        table.rows().stream()
            .limit(FIRST_ROWS)
            .map(
                row ->
                    new ImportRowView(
                        row.line(),
                        row.on(),
                        row.exercise(),
                        row.set().done().loadKg(),
                        row.set().done().repetitions(),
                        row.set().done().reserve(),
                        row.set().side().name()))
            .toList(),
        preview.exercises().stream()
            .map(
                named ->
                    new ImportExerciseView(
                        named.name(),
                        named.sets(),
                        named.candidateId().orElse(null),
                        named.skipped()))
            .toList(),
        table.faults().stream()
            .map(fault -> new ImportFaultView(fault.field(), fault.message()))
            .toList(),
        table.faultCount(),
        preview.ready());
  }

  record ImportResultView(int sets, int sessions, int already) {}

  /** All of it or nothing; what was brought in before is not added again. */
  @PostMapping("/api/clients/{clientId}/imports")
  ImportResultView bring(@PathVariable UUID clientId, @RequestBody ImportInput input) {
    new Needed().field("gymId", input.gymId()).check();
    EarlierSets.ImportResult result =
        imports.bring(
            clientId,
            Objects.requireNonNull(input.gymId()),
            input.text(),
            input.wished(),
            input.named());
    return new ImportResultView(result.sets(), result.sessions(), result.already());
  }
}
