/** The feature's rows. */
@NullMarked
package istmo.app.schools.persistence;

import org.jspecify.annotations.NullMarked;
