package istmo.app.today;

import istmo.app.accounts.Accounts;
import istmo.app.accounts.CurrentCoach;
import istmo.app.platform.Backups;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What the coach of the first account is told of the machine: that coach sees to it. */
@Service
public class Upkeep {
  private final CurrentCoach coach;
  private final Backups backups;

  Upkeep(CurrentCoach coach, Backups backups) {
    this.coach = coach;
    this.backups = backups;
  }

  /** How old the newest backup is; empty for other coaches, and where nothing is backed up. */
  public Optional<Backups.State> backup() {
    return coach.id().equals(Accounts.FIRST) ? backups.now() : Optional.empty();
  }
}
