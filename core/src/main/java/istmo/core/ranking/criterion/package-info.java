/** What a candidate is worth by each criterion. */
@NullMarked
package istmo.core.ranking.criterion;

import org.jspecify.annotations.NullMarked;
