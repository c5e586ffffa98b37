/** The feature's rows. */
@NullMarked
package istmo.app.plans.persistence;

import org.jspecify.annotations.NullMarked;
