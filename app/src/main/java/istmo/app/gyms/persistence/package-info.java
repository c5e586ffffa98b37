/** The feature's rows. */
@NullMarked
package istmo.app.gyms.persistence;

import org.jspecify.annotations.NullMarked;
