package istmo.app.platform;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Transactions of use cases that read, then compute, then write. A transaction holds a connection
 * to the database, and there are few of those; so nothing that takes long is computed inside one.
 */
@Component
public class Transactions {
  private final TransactionTemplate reading;
  private final TransactionTemplate writing;

  Transactions(PlatformTransactionManager manager) {
    this.reading = new TransactionTemplate(manager);
    this.reading.setReadOnly(true);
    this.writing = new TransactionTemplate(manager);
  }

  /**
   * Reads in one transaction: everything that is read belongs to one moment as far as one query
   * does.
   */
  public <T> T read(Supplier<T> query) {
    return reading.execute(status -> query.get());
  }

  /** Writes in one transaction: all of it, or nothing when it throws. */
  public <T> T write(Supplier<T> change) {
    return writing.execute(status -> change.get());
  }

  /** The same for a change that answers nothing. */
  public void write(Runnable change) {
    writing.executeWithoutResult(status -> change.run());
  }

  /**
   * Says that a computation begins which must not hold a connection.
   *
   * @param what the computation, for the message: "an order"
   * @throws IllegalStateException inside a transaction
   */
  public static void mustBeOutside(String what) {
    if (TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException(
          what
              + " must not be computed inside a transaction: read, close the transaction, compute,"
              + " and write in another one");
    }
  }
}
