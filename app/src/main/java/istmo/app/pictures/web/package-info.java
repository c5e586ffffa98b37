/** Pictures of clients over HTTP. */
@org.jspecify.annotations.NullMarked
package istmo.app.pictures.web;
