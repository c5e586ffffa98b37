package istmo.app.accounts;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;

/**
 * For {@code ./istmo reset-password NAME} on the machine itself: reads the new password from
 * standard input and prints the sign-in name as it is kept, a tab, and the hash. What is wrong with
 * the password goes to standard error, with exit code 1.
 */
public final class ForgottenPassword {
  private ForgottenPassword() {}

  /** The name is the only argument. */
  public static void main(String[] args) throws IOException {
    BufferedReader in =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    String password = in.readLine();
    var fault = Passwords.fault("password", password);
    if (args.length != 1 || fault.isPresent()) {
      System.err.println(
          fault.map(said -> "The password " + said.message() + ".").orElse("Say whose password."));
      System.exit(1);
    }
    System.out.println(Accounts.key(args[0]) + "\t" + Passwords.hash(password));
  }
}
