/** From a brief to an order, and what follows from one. */
@NullMarked
package istmo.core.ranking.order;

import org.jspecify.annotations.NullMarked;
