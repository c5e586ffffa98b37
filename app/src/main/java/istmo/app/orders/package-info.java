/** Orders for a client in a gym. */
@NullMarked
package istmo.app.orders;

import org.jspecify.annotations.NullMarked;
