package istmo.app.accounts.web;

import istmo.app.accounts.Accounts;
import istmo.app.accounts.Coach;
import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.accounts.TooManyTries;
import istmo.app.platform.Conflict;
import istmo.app.platform.MayBeMissing;
import istmo.app.platform.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, the first account, passwords, and where one is signed in. */
@RestController
@RequestMapping("/api/account")
class AccountController {
  private static final int LONGEST_DEVICE = 200;

  private final Accounts accounts;
  private final CurrentCoach current;
  private final CoachDays days;
  private final SignedInSessions sessions;
  private final SecurityContextRepository contexts;

  AccountController(
      Accounts accounts,
      CurrentCoach current,
      CoachDays days,
      SignedInSessions sessions,
      SecurityContextRepository contexts) {
    this.accounts = accounts;
    this.current = current;
    this.days = days;
    this.sessions = sessions;
    this.contexts = contexts;
  }

  /**
   * id: of the coach, so that a device keeps what several coaches log apart; demo: this is the
   * demo, which signs in by itself on this machine; firstRun: nobody has an account yet; timeZone:
   * the IANA name of the zone that the coach's days and weeks follow.
   */
  record AccountView(
      boolean signedIn,
      @MayBeMissing UUID id,
      @MayBeMissing String name,
      boolean demo,
      boolean firstRun,
      @MayBeMissing String timeZone) {}

  record TimeZoneInput(String timeZone) {}

  record SignInInput(String signInName, String password) {}

  record NewCoachInput(String name, String signInName, String password) {}

  record PasswordInput(String oldPassword, String newPassword) {}

  record SignedInView(String id, boolean current, String device, Instant since, Instant lastUsed) {}

  /** Who is signed in, and whether this installation has an account yet. */
  @GetMapping
  AccountView account() {
    Optional<Coach> coach = signedIn().flatMap(accounts::coach);
    return new AccountView(
        coach.isPresent(),
        coach.map(Coach::id).orElse(null),
        coach.map(Coach::name).orElse(null),
        accounts.isDemo(),
        accounts.isFirstRun(),
        coach.map(signedIn -> days.zone().getId()).orElse(null));
  }

  /** Tells in which time zone the coach is, so that days and weeks are the coach's own. */
  @PutMapping("/time-zone")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void timeZone(@RequestBody TimeZoneInput input) {
    days.move(input.timeZone());
  }

  /**
   * Signs in. 401 with one and the same answer whether the name or the password is wrong; 429 after
   * too many failures, with the time to wait.
   */
  @PostMapping("/sign-in")
  ResponseEntity<?> signIn(
      @RequestBody SignInInput input, HttpServletRequest request, HttpServletResponse response) {
    Optional<Coach> coach =
        accounts.check(input.signInName(), input.password(), request.getRemoteAddr());
    if (coach.isEmpty()) {
      return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
          .body(
              ProblemDetail.forStatusAndDetail(
                  HttpStatus.UNAUTHORIZED, "Name or password is not right."));
    }
    begin(coach.get(), request, response);
    return ResponseEntity.ok(account());
  }

  /** The demo's coach, from this machine only. */
  @PostMapping("/demo")
  AccountView demo(HttpServletRequest request, HttpServletResponse response)
      throws UnknownHostException {
    if (!accounts.isDemo() || !InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress()) {
      throw new NotFound("demo");
    }
    begin(
        accounts.coach(Accounts.FIRST).orElseThrow(() -> new NotFound("demo")), request, response);
    return account();
  }

  /** The first account, from this machine itself: nobody in a gym's wifi is quicker. */
  @PostMapping("/first")
  @ResponseStatus(HttpStatus.CREATED)
  AccountView first(
      @RequestBody NewCoachInput input, HttpServletRequest request, HttpServletResponse response)
      throws UnknownHostException {
    if (!InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress()
        && !request.getRemoteAddr().equals(request.getLocalAddr())) {
      throw new Conflict("The first account is made on the machine that Istmo runs on.");
    }
    begin(
        accounts.createFirst(input.name(), input.signInName(), input.password()),
        request,
        response);
    return account();
  }

  /** Adds another coach, who sees nothing of this one's clients. */
  @PostMapping("/coaches")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void add(@RequestBody NewCoachInput input) {
    accounts.add(input.name(), input.signInName(), input.password());
  }

  /** Signs out on this device. */
  @PostMapping("/sign-out")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
    SecurityContextHolder.clearContext();
  }

  /** Changes the password, and signs out everywhere else. */
  @PutMapping("/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void changePassword(@RequestBody PasswordInput input, HttpServletRequest request) {
    accounts.changePassword(current.id(), input.oldPassword(), input.newPassword());
    sessions.endOthers(current.id(), request.getSession().getId());
  }

  /** Devices on which the coach is signed in. */
  @GetMapping("/sessions")
  List<SignedInView> sessions(HttpServletRequest request) {
    return sessions.of(current.id(), request.getSession().getId()).stream()
        .map(
            signedIn ->
                new SignedInView(
                    signedIn.handle(),
                    signedIn.current(),
                    signedIn.device(),
                    signedIn.since(),
                    signedIn.lastUsed()))
        .toList();
  }

  /** Signs out on one other device. */
  @DeleteMapping("/sessions/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@PathVariable String id) {
    sessions.end(current.id(), id);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> wait(TooManyTries e) {
    return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
        .header(HttpHeaders.RETRY_AFTER, String.valueOf(e.seconds()))
        .body(ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, e.getMessage()));
  }

  private Optional<UUID> signedIn() {
    try {
      return Optional.of(current.id());
    } catch (NotFound nobody) {
      return Optional.empty();
    }
  }

  /** A new session under a new id, so that an id from before signing in is worth nothing. */
  private void begin(Coach coach, HttpServletRequest request, HttpServletResponse response) {
    HttpSession old = request.getSession(false);
    if (old != null) {
      old.invalidate();
    }
    String device =
        Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("unknown");
    request
        .getSession(true)
        .setAttribute(
            SignedInSessions.DEVICE,
            device.substring(0, Math.min(LONGEST_DEVICE, device.length())));
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(CurrentCoach.signedIn(coach.id()));
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
  }
}
