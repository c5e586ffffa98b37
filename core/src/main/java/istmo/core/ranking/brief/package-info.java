/** What is asked of an order: aim, brief, weights. */
@NullMarked
package istmo.core.ranking.brief;

import org.jspecify.annotations.NullMarked;
