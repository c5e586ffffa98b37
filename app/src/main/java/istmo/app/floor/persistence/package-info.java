/** The feature's rows. */
@NullMarked
package istmo.app.floor.persistence;

import org.jspecify.annotations.NullMarked;
