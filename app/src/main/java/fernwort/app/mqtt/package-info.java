/**
 * Messages over MQTT: a link to a broker that comes back by itself, and a broker for those who have
 * none. What the messages say is for others.
 *
 * <pre>{@code
 * Link link = new HiveLink(BrokerAddress.of("mqtt://192.168.1.20"), access, listener);
 * link.subscribe(Set.of("van/#"));
 * link.open();
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.mqtt;
