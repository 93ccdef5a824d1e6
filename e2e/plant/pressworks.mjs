/**
 * A plant of another make, for tests: a real OPC UA server with certificates, a list of whom it trusts, and people
 * who sign in by a password. Its nodes are numbered, as those of many controllers are.
 *
 *   node pressworks.mjs FOLDER PORT
 *
 * It trusts the certificates that are written to it, a line each (base64), as who runs it would say by hand.
 */
import path from 'node:path';
import { createInterface } from 'node:readline';
import { OPCUACertificateManager } from 'node-opcua-certificate-manager';
import { OPCUAServer } from 'node-opcua-server';

const [folder, port] = process.argv.slice(2);
const certificates = new OPCUACertificateManager({
  rootFolder: path.join(folder, 'pki'),
  automaticallyAcceptUnknownCertificate: false,
});
await certificates.initialize();
const policies = ['None', 'Basic256Sha256', 'Aes128_Sha256_RsaOaep'];
const server = new OPCUAServer({
  port: Number(port),
  hostname: '127.0.0.1',
  serverCertificateManager: certificates,
  allowAnonymous: true,
  securityPolicies: policies.map((p) => `http://opcfoundation.org/UA/SecurityPolicy#${p}`),
  userManager: { isValidUser: (name, password) => name === 'operator' && password === 'pressing all day' },
});
await server.initialize();

const space = server.engine.addressSpace;
const works = space.registerNamespace('urn:pressworks');
const hall = works.addFolder(space.rootFolder.objects, { browseName: 'Hall', nodeId: 'i=1000' });
const units = 'http://www.opcfoundation.org/UA/units/un/cefact';
for (let n = 1; n <= 3; n++) {
  const press = works.addObject({ organizedBy: hall, browseName: `Press_0${n}`, nodeId: `i=${1000 + n * 10}` });
  works.addAnalogDataItem({
    componentOf: press,
    browseName: 'Force',
    nodeId: `i=${1001 + n * 10}`,
    dataType: 'Double',
    engineeringUnitsRange: { low: 0, high: 400 },
    engineeringUnits: {
      namespaceUri: units,
      unitId: 4274247,
      displayName: { text: 'kN' },
      description: { text: 'kilonewton' },
    },
    value: { dataType: 'Double', value: 100 * n },
  });
  works.addVariable({
    componentOf: press,
    browseName: 'Count',
    nodeId: `i=${1002 + n * 10}`,
    dataType: 'UInt16',
    value: { dataType: 'UInt16', value: 7 * n },
  });
}
await server.start();
console.log('up');
createInterface({ input: process.stdin }).on('line', async (line) => {
  await certificates.trustCertificate(Buffer.from(line, 'base64'));
  console.log('trusted');
});
process.on('SIGTERM', async () => {
  await server.shutdown(0);
  process.exit(0);
});
