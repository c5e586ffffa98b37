/** The feature's rows. */
@NullMarked
package istmo.app.record.persistence;

import org.jspecify.annotations.NullMarked;
