/** The feature's rows. */
@NullMarked
package istmo.app.sessions.persistence;

import org.jspecify.annotations.NullMarked;
