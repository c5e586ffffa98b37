package istmo.app.plans.persistence;

import java.util.List;
import java.util.Map;

/** The brief as it is stored with a session. */
public record StoredBrief(Map<String, Integer> aim, List<String> keepOut, String school) {}
