package istmo.app.clients;

import istmo.core.record.Experience;

/** What a client felt in exercises and where they hurt, for whatever is worked out from it. */
public interface Reports {
  /** What still counts of a client's reports; nothing where nothing is to be learned from them. */
  Experience of(Client client);
}
