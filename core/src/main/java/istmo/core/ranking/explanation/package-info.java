/** Why an order is as it is, and exercises side by side. */
@NullMarked
package istmo.core.ranking.explanation;

import org.jspecify.annotations.NullMarked;
