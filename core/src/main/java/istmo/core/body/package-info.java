/** One person: intake, readings, estimates, profile, sore joints, cautions. */
@NullMarked
package istmo.core.body;

import org.jspecify.annotations.NullMarked;
