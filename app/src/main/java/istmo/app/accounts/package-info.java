/** Coaches, their passwords and who is signed in. */
@NullMarked
package istmo.app.accounts;

import org.jspecify.annotations.NullMarked;
