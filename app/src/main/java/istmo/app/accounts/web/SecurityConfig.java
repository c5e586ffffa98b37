package istmo.app.accounts.web;

import istmo.app.platform.Problems;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;

/**
 * Everything of the interface asks for a signed-in coach but what is needed to sign in, the model
 * that knows no client, and gadgets, which bring a code of their own.
 */
@Configuration
class SecurityConfig {
  /** The model without any client's data: for programs. */
  private static final String MODEL = "/api/analyses";

  /** A plan behind a link that its coach has given away. */
  private static final String SHARED = "/api/shared/*";

  /**
   * How busy the application is and how old its newest backup, without anybody's data: for a
   * program on this machine.
   */
  private static final String[] FIGURES = {"/actuator/prometheus", "/actuator/health/nightly"};

  private static final String GADGETS = "/api/gadget-links/*/lines";

  @Bean
  SecurityContextRepository securityContextRepository() {
    return new HttpSessionSecurityContextRepository();
  }

  /** Whether a request comes from this machine, by loopback or by the address that it serves. */
  private static boolean isOnThisMachine(HttpServletRequest request) {
    return request.getRemoteAddr().equals(request.getLocalAddr());
  }

  @Bean
  SecurityFilterChain security(
      HttpSecurity http, SecurityContextRepository contexts, Problems problems) throws Exception {
    PathPatternRequestMatcher.Builder path = PathPatternRequestMatcher.withDefaults();
    return http.authorizeHttpRequests(
            registry ->
                registry
                    .requestMatchers(HttpMethod.GET, "/api/account", SHARED)
                    .permitAll()
                    .requestMatchers(
                        HttpMethod.POST,
                        "/api/account/sign-in",
                        "/api/account/demo",
                        "/api/account/first",
                        MODEL,
                        GADGETS)
                    .permitAll()
                    .requestMatchers("/api/**")
                    .authenticated()
                    .requestMatchers(FIGURES)
                    .access(
                        (signedIn, asked) ->
                            new AuthorizationDecision(isOnThisMachine(asked.getRequest())))
                    .anyRequest()
                    .permitAll())
        .csrf(
            configurer ->
                configurer
                    .spa()
                    .ignoringRequestMatchers(
                        path.matcher(HttpMethod.POST, MODEL),
                        path.matcher(HttpMethod.POST, GADGETS)))
        .securityContext(configurer -> configurer.securityContextRepository(contexts))
        .requestCache(configurer -> configurer.disable())
        .formLogin(configurer -> configurer.disable())
        .httpBasic(configurer -> configurer.disable())
        .logout(configurer -> configurer.disable())
        .exceptionHandling(
            configurer ->
                configurer
                    .authenticationEntryPoint(
                        (request, response, x) ->
                            problems.answer(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "Sign in first. What you typed is kept."))
                    .accessDeniedHandler(
                        (request, response, x) ->
                            problems.answer(
                                response,
                                HttpStatus.FORBIDDEN,
                                "This request did not carry this page's token. Nothing was changed;"
                                    + " try once more.")))
        // a self-made certificate may be made anew: a browser that was told to insist could then
        // not be let in
        .headers(
            configurer ->
                configurer
                    .frameOptions(config -> config.deny())
                    .httpStrictTransportSecurity(config -> config.disable()))
        .build();
  }
}
