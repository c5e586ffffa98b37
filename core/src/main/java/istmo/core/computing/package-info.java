/** Where computations run, and how their results are kept. Knows nothing of what is computed. */
@NullMarked
package istmo.core.computing;

import org.jspecify.annotations.NullMarked;
