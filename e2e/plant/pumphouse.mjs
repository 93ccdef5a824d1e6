/**
 * A plant of another make, for tests: a real OPC UA server with certificates, a list of whom it trusts, and people
 * who sign in by a password. Its nodes are numbered, as those of many controllers are.
 *
 *   node pumphouse.mjs FOLDER PORT
 *
 * It trusts the certificates that are written to it, a line each (base64), as who runs it would say by hand; those of
 * users after the word “user”.
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
const users = new OPCUACertificateManager({
  rootFolder: path.join(folder, 'users'),
  automaticallyAcceptUnknownCertificate: false,
});
await users.initialize();
const policies = ['None', 'Basic256Sha256', 'Aes128_Sha256_RsaOaep'];
const server = new OPCUAServer({
  port: Number(port),
  hostname: '127.0.0.1',
  serverCertificateManager: certificates,
  userCertificateManager: users,
  allowAnonymous: true,
  securityPolicies: policies.map((p) => `http://opcfoundation.org/UA/SecurityPolicy#${p}`),
  userManager: { isValidUser: (name, password) => name === 'operator' && password === 'pumping all day' },
  serverInfo: { applicationName: { text: 'Pumphouse', locale: 'en' } },
});
await server.initialize();

const space = server.engine.addressSpace;
const works = space.registerNamespace('urn:pumphouse');
const house = works.addFolder(space.rootFolder.objects, { browseName: 'Pumphouse', nodeId: 'i=1000' });
const units = 'http://www.opcfoundation.org/UA/units/un/cefact';
for (let n = 1; n <= 3; n++) {
  const at = 1000 + n * 10;
  const pump = works.addObject({ organizedBy: house, browseName: `Pump P-00${n}`, nodeId: `i=${at}` });
  works.addAnalogDataItem({
    componentOf: pump,
    browseName: 'Pressure',
    nodeId: `i=${at + 1}`,
    dataType: 'Double',
    engineeringUnitsRange: { low: 0, high: 400 },
    engineeringUnits: { namespaceUri: units, unitId: 4937793, displayName: { text: 'kPa' }, description: { text: 'kilopascal' } },
    value: { dataType: 'Double', value: 100 * n },
  });
  const value = (browseName, id, dataType, first) =>
    works.addVariable({ componentOf: pump, browseName, nodeId: `i=${at + id}`, dataType, value: { dataType, value: first } });
  value('Starts', 2, 'UInt16', 7 * n);
  value('Running', 3, 'Boolean', n < 3);
}
await server.start();
console.log('up');
createInterface({ input: process.stdin }).on('line', async (line) => {
  const [manager, certificate] = line.startsWith('user ') ? [users, line.slice(5)] : [certificates, line];
  await manager.trustCertificate(Buffer.from(certificate, 'base64'));
  console.log('trusted');
});
process.on('SIGTERM', async () => {
  await server.shutdown(0);
  process.exit(0);
});
