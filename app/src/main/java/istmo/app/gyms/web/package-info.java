/** The feature over HTTP: views, inputs and thin controllers. */
@NullMarked
package istmo.app.gyms.web;

import org.jspecify.annotations.NullMarked;
