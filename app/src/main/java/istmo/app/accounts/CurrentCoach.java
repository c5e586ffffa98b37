package istmo.app.accounts;

import istmo.app.platform.NotFound;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;

/** Who is signed in; every query asks with this coach's id. */
@Service
public class CurrentCoach {
  /** The signed-in coach; throws {@link NotFound} where nobody is, so that nothing is found. */
  public UUID id() {
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    if (authentication == null
        || !(authentication.getPrincipal() instanceof String id)
        || authentication.getAuthorities().iterator().hasNext()) {
      throw new NotFound("coach");
    }
    return UUID.fromString(id);
  }

  /**
   * Does something in a coach's name, outside of any request: data that is brought in at the start.
   */
  public <T> T as(UUID coachId, Supplier<T> act) {
    SecurityContext before = SecurityContextHolder.getContext();
    try {
      SecurityContext own = SecurityContextHolder.createEmptyContext();
      own.setAuthentication(signedIn(coachId));
      SecurityContextHolder.setContext(own);
      return act.get();
    } finally {
      SecurityContextHolder.setContext(before);
    }
  }

  /**
   * Everybody who is signed in may do the same, so there are no authorities; an anonymous visitor
   * has one.
   */
  public static Authentication signedIn(UUID coachId) {
    return UsernamePasswordAuthenticationToken.authenticated(coachId.toString(), null, List.of());
  }
}
