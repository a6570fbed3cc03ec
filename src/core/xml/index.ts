/**
 * XML documents as trees of elements, for what others send.
 * Standard: XML 1.0 with Namespaces, without document types.
 * Left out: writing it, and mixed content (an element's text is what stands in it directly).
 */
export { childOf, childrenOf, readXml, type XmlElement } from './readXml';
