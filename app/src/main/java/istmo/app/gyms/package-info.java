/** Gyms, what is measured of their machines, their plates. */
@NullMarked
package istmo.app.gyms;

import org.jspecify.annotations.NullMarked;
