/** Measuring gadgets on this machine or this network, and stand-ins for them. */
@NullMarked
package istmo.app.gadgets;

import org.jspecify.annotations.NullMarked;
