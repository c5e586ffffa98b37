/** What marks on a picture of a client say: camera, angles with their errors, and technique. */
@org.jspecify.annotations.NullMarked
package istmo.core.picture;
