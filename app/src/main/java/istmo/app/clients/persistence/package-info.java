/** The feature's rows. */
@NullMarked
package istmo.app.clients.persistence;

import org.jspecify.annotations.NullMarked;
