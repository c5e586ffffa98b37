/** The feature's rows. */
@NullMarked
package istmo.app.accounts.persistence;

import org.jspecify.annotations.NullMarked;
