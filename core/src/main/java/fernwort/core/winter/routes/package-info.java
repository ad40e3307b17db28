/**
 * The ways that air or antifreeze takes when it is pushed in. The one thing to call is {@link
 * fernwort.core.winter.routes.Routes}.
 *
 * <pre>{@code
 * List<Route> routes =
 *     Routes.from(network, Filled.of(network, state), new PortRef(PartId.of("pump"), PortId.OUT));
 * }</pre>
 *
 * <p>May be touched: what a way costs. Not: that no way needs one handle in two positions.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter.routes;
