/* eslint-disable -- generated */
/* Made by `npm run generate:schemas` from schemas/code-pack.schema.ts. Do not edit. */
var __getOwnPropNames = Object.getOwnPropertyNames;
var __commonJS = (cb, mod) =>
  function () {
    try {
      return (
        mod || (0, cb[__getOwnPropNames(cb)[0]])((mod = { exports: {} }).exports, mod),
        mod.exports
      );
    } catch (e) {
      throw ((mod = 0), e);
    }
  };
var require_ucs2length = __commonJS({
  'node_modules/ajv/dist/runtime/ucs2length.js'(exports) {
    'use strict';
    Object.defineProperty(exports, '__esModule', { value: !0 });
    function ucs2length(str) {
      let len = str.length,
        length = 0,
        pos = 0,
        value;
      for (; pos < len;)
        (length++,
          (value = str.charCodeAt(pos++)),
          value >= 55296 &&
            value <= 56319 &&
            pos < len &&
            ((value = str.charCodeAt(pos)), (value & 64512) === 56320 && pos++));
      return length;
    }
    exports.default = ucs2length;
    ucs2length.code = 'require("ajv/dist/runtime/ucs2length").default';
  },
});
var validateCodePack = validate21,
  schema6 = {
    $schema: 'http://json-schema.org/draft-07/schema#',
    $id: 'ohmmeter-code-pack-1',
    title: 'Code pack',
    type: 'object',
    properties: {
      format: { type: 'string', const: 'ohmmeter-code-pack' },
      version: { type: 'integer', const: 1 },
      id: { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', maxLength: 60 },
      title: { type: 'string', minLength: 1, maxLength: 100 },
      family: { type: 'string', minLength: 1, maxLength: 200 },
      shownBy: { type: 'string', enum: ['light', 'display'] },
      codes: {
        type: 'array',
        items: {
          type: 'object',
          properties: {
            code: { type: 'string', minLength: 1, maxLength: 40 },
            shows: { type: 'string', maxLength: 200 },
            saw: { type: 'string', minLength: 1, maxLength: 200 },
            pattern: { type: 'string', maxLength: 200 },
            lockout: { type: 'boolean' },
            note: { type: 'string', maxLength: 400 },
          },
          required: ['code'],
          additionalProperties: !1,
        },
        maxItems: 200,
        minItems: 1,
      },
      makes: {
        type: 'array',
        items: { type: 'string', minLength: 1, maxLength: 100 },
        maxItems: 50,
      },
    },
    required: ['format', 'version', 'id', 'title', 'family', 'shownBy', 'codes'],
    additionalProperties: !1,
  },
  func2 = require_ucs2length().default,
  pattern0 = new RegExp('^[a-z0-9]+(-[a-z0-9]+)*$', 'u');
function validate21(
  data,
  { instancePath = '', parentData, parentDataProperty, rootData = data } = {},
) {
  let vErrors = null,
    errors = 0;
  if (data && typeof data == 'object' && !Array.isArray(data)) {
    if (data.format === void 0) {
      let err0 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'format' },
        message: "must have required property 'format'",
      };
      (vErrors === null ? (vErrors = [err0]) : vErrors.push(err0), errors++);
    }
    if (data.version === void 0) {
      let err1 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'version' },
        message: "must have required property 'version'",
      };
      (vErrors === null ? (vErrors = [err1]) : vErrors.push(err1), errors++);
    }
    if (data.id === void 0) {
      let err2 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'id' },
        message: "must have required property 'id'",
      };
      (vErrors === null ? (vErrors = [err2]) : vErrors.push(err2), errors++);
    }
    if (data.title === void 0) {
      let err3 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'title' },
        message: "must have required property 'title'",
      };
      (vErrors === null ? (vErrors = [err3]) : vErrors.push(err3), errors++);
    }
    if (data.family === void 0) {
      let err4 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'family' },
        message: "must have required property 'family'",
      };
      (vErrors === null ? (vErrors = [err4]) : vErrors.push(err4), errors++);
    }
    if (data.shownBy === void 0) {
      let err5 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'shownBy' },
        message: "must have required property 'shownBy'",
      };
      (vErrors === null ? (vErrors = [err5]) : vErrors.push(err5), errors++);
    }
    if (data.codes === void 0) {
      let err6 = {
        instancePath,
        schemaPath: '#/required',
        keyword: 'required',
        params: { missingProperty: 'codes' },
        message: "must have required property 'codes'",
      };
      (vErrors === null ? (vErrors = [err6]) : vErrors.push(err6), errors++);
    }
    for (let key0 in data)
      if (!(
        key0 === 'format' ||
        key0 === 'version' ||
        key0 === 'id' ||
        key0 === 'title' ||
        key0 === 'family' ||
        key0 === 'shownBy' ||
        key0 === 'codes' ||
        key0 === 'makes'
      )) {
        let err7 = {
          instancePath,
          schemaPath: '#/additionalProperties',
          keyword: 'additionalProperties',
          params: { additionalProperty: key0 },
          message: 'must NOT have additional properties',
        };
        (vErrors === null ? (vErrors = [err7]) : vErrors.push(err7), errors++);
      }
    if (data.format !== void 0) {
      let data0 = data.format;
      if (typeof data0 != 'string') {
        let err8 = {
          instancePath: instancePath + '/format',
          schemaPath: '#/properties/format/type',
          keyword: 'type',
          params: { type: 'string' },
          message: 'must be string',
        };
        (vErrors === null ? (vErrors = [err8]) : vErrors.push(err8), errors++);
      }
      if (data0 !== 'ohmmeter-code-pack') {
        let err9 = {
          instancePath: instancePath + '/format',
          schemaPath: '#/properties/format/const',
          keyword: 'const',
          params: { allowedValue: 'ohmmeter-code-pack' },
          message: 'must be equal to constant',
        };
        (vErrors === null ? (vErrors = [err9]) : vErrors.push(err9), errors++);
      }
    }
    if (data.version !== void 0) {
      let data1 = data.version;
      if (!(typeof data1 == 'number' && !(data1 % 1) && !isNaN(data1) && isFinite(data1))) {
        let err10 = {
          instancePath: instancePath + '/version',
          schemaPath: '#/properties/version/type',
          keyword: 'type',
          params: { type: 'integer' },
          message: 'must be integer',
        };
        (vErrors === null ? (vErrors = [err10]) : vErrors.push(err10), errors++);
      }
      if (data1 !== 1) {
        let err11 = {
          instancePath: instancePath + '/version',
          schemaPath: '#/properties/version/const',
          keyword: 'const',
          params: { allowedValue: 1 },
          message: 'must be equal to constant',
        };
        (vErrors === null ? (vErrors = [err11]) : vErrors.push(err11), errors++);
      }
    }
    if (data.id !== void 0) {
      let data2 = data.id;
      if (typeof data2 == 'string') {
        if (func2(data2) > 60) {
          let err12 = {
            instancePath: instancePath + '/id',
            schemaPath: '#/properties/id/maxLength',
            keyword: 'maxLength',
            params: { limit: 60 },
            message: 'must NOT have more than 60 characters',
          };
          (vErrors === null ? (vErrors = [err12]) : vErrors.push(err12), errors++);
        }
        if (!pattern0.test(data2)) {
          let err13 = {
            instancePath: instancePath + '/id',
            schemaPath: '#/properties/id/pattern',
            keyword: 'pattern',
            params: { pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' },
            message: 'must match pattern "^[a-z0-9]+(-[a-z0-9]+)*$"',
          };
          (vErrors === null ? (vErrors = [err13]) : vErrors.push(err13), errors++);
        }
      } else {
        let err14 = {
          instancePath: instancePath + '/id',
          schemaPath: '#/properties/id/type',
          keyword: 'type',
          params: { type: 'string' },
          message: 'must be string',
        };
        (vErrors === null ? (vErrors = [err14]) : vErrors.push(err14), errors++);
      }
    }
    if (data.title !== void 0) {
      let data3 = data.title;
      if (typeof data3 == 'string') {
        if (func2(data3) > 100) {
          let err15 = {
            instancePath: instancePath + '/title',
            schemaPath: '#/properties/title/maxLength',
            keyword: 'maxLength',
            params: { limit: 100 },
            message: 'must NOT have more than 100 characters',
          };
          (vErrors === null ? (vErrors = [err15]) : vErrors.push(err15), errors++);
        }
        if (func2(data3) < 1) {
          let err16 = {
            instancePath: instancePath + '/title',
            schemaPath: '#/properties/title/minLength',
            keyword: 'minLength',
            params: { limit: 1 },
            message: 'must NOT have fewer than 1 characters',
          };
          (vErrors === null ? (vErrors = [err16]) : vErrors.push(err16), errors++);
        }
      } else {
        let err17 = {
          instancePath: instancePath + '/title',
          schemaPath: '#/properties/title/type',
          keyword: 'type',
          params: { type: 'string' },
          message: 'must be string',
        };
        (vErrors === null ? (vErrors = [err17]) : vErrors.push(err17), errors++);
      }
    }
    if (data.family !== void 0) {
      let data4 = data.family;
      if (typeof data4 == 'string') {
        if (func2(data4) > 200) {
          let err18 = {
            instancePath: instancePath + '/family',
            schemaPath: '#/properties/family/maxLength',
            keyword: 'maxLength',
            params: { limit: 200 },
            message: 'must NOT have more than 200 characters',
          };
          (vErrors === null ? (vErrors = [err18]) : vErrors.push(err18), errors++);
        }
        if (func2(data4) < 1) {
          let err19 = {
            instancePath: instancePath + '/family',
            schemaPath: '#/properties/family/minLength',
            keyword: 'minLength',
            params: { limit: 1 },
            message: 'must NOT have fewer than 1 characters',
          };
          (vErrors === null ? (vErrors = [err19]) : vErrors.push(err19), errors++);
        }
      } else {
        let err20 = {
          instancePath: instancePath + '/family',
          schemaPath: '#/properties/family/type',
          keyword: 'type',
          params: { type: 'string' },
          message: 'must be string',
        };
        (vErrors === null ? (vErrors = [err20]) : vErrors.push(err20), errors++);
      }
    }
    if (data.shownBy !== void 0) {
      let data5 = data.shownBy;
      if (typeof data5 != 'string') {
        let err21 = {
          instancePath: instancePath + '/shownBy',
          schemaPath: '#/properties/shownBy/type',
          keyword: 'type',
          params: { type: 'string' },
          message: 'must be string',
        };
        (vErrors === null ? (vErrors = [err21]) : vErrors.push(err21), errors++);
      }
      if (!(data5 === 'light' || data5 === 'display')) {
        let err22 = {
          instancePath: instancePath + '/shownBy',
          schemaPath: '#/properties/shownBy/enum',
          keyword: 'enum',
          params: { allowedValues: schema6.properties.shownBy.enum },
          message: 'must be equal to one of the allowed values',
        };
        (vErrors === null ? (vErrors = [err22]) : vErrors.push(err22), errors++);
      }
    }
    if (data.codes !== void 0) {
      let data6 = data.codes;
      if (Array.isArray(data6)) {
        if (data6.length > 200) {
          let err23 = {
            instancePath: instancePath + '/codes',
            schemaPath: '#/properties/codes/maxItems',
            keyword: 'maxItems',
            params: { limit: 200 },
            message: 'must NOT have more than 200 items',
          };
          (vErrors === null ? (vErrors = [err23]) : vErrors.push(err23), errors++);
        }
        if (data6.length < 1) {
          let err24 = {
            instancePath: instancePath + '/codes',
            schemaPath: '#/properties/codes/minItems',
            keyword: 'minItems',
            params: { limit: 1 },
            message: 'must NOT have fewer than 1 items',
          };
          (vErrors === null ? (vErrors = [err24]) : vErrors.push(err24), errors++);
        }
        let len0 = data6.length;
        for (let i0 = 0; i0 < len0; i0++) {
          let data7 = data6[i0];
          if (data7 && typeof data7 == 'object' && !Array.isArray(data7)) {
            if (data7.code === void 0) {
              let err25 = {
                instancePath: instancePath + '/codes/' + i0,
                schemaPath: '#/properties/codes/items/required',
                keyword: 'required',
                params: { missingProperty: 'code' },
                message: "must have required property 'code'",
              };
              (vErrors === null ? (vErrors = [err25]) : vErrors.push(err25), errors++);
            }
            for (let key1 in data7)
              if (!(
                key1 === 'code' ||
                key1 === 'shows' ||
                key1 === 'saw' ||
                key1 === 'pattern' ||
                key1 === 'lockout' ||
                key1 === 'note'
              )) {
                let err26 = {
                  instancePath: instancePath + '/codes/' + i0,
                  schemaPath: '#/properties/codes/items/additionalProperties',
                  keyword: 'additionalProperties',
                  params: { additionalProperty: key1 },
                  message: 'must NOT have additional properties',
                };
                (vErrors === null ? (vErrors = [err26]) : vErrors.push(err26), errors++);
              }
            if (data7.code !== void 0) {
              let data8 = data7.code;
              if (typeof data8 == 'string') {
                if (func2(data8) > 40) {
                  let err27 = {
                    instancePath: instancePath + '/codes/' + i0 + '/code',
                    schemaPath: '#/properties/codes/items/properties/code/maxLength',
                    keyword: 'maxLength',
                    params: { limit: 40 },
                    message: 'must NOT have more than 40 characters',
                  };
                  (vErrors === null ? (vErrors = [err27]) : vErrors.push(err27), errors++);
                }
                if (func2(data8) < 1) {
                  let err28 = {
                    instancePath: instancePath + '/codes/' + i0 + '/code',
                    schemaPath: '#/properties/codes/items/properties/code/minLength',
                    keyword: 'minLength',
                    params: { limit: 1 },
                    message: 'must NOT have fewer than 1 characters',
                  };
                  (vErrors === null ? (vErrors = [err28]) : vErrors.push(err28), errors++);
                }
              } else {
                let err29 = {
                  instancePath: instancePath + '/codes/' + i0 + '/code',
                  schemaPath: '#/properties/codes/items/properties/code/type',
                  keyword: 'type',
                  params: { type: 'string' },
                  message: 'must be string',
                };
                (vErrors === null ? (vErrors = [err29]) : vErrors.push(err29), errors++);
              }
            }
            if (data7.shows !== void 0) {
              let data9 = data7.shows;
              if (typeof data9 == 'string') {
                if (func2(data9) > 200) {
                  let err30 = {
                    instancePath: instancePath + '/codes/' + i0 + '/shows',
                    schemaPath: '#/properties/codes/items/properties/shows/maxLength',
                    keyword: 'maxLength',
                    params: { limit: 200 },
                    message: 'must NOT have more than 200 characters',
                  };
                  (vErrors === null ? (vErrors = [err30]) : vErrors.push(err30), errors++);
                }
              } else {
                let err31 = {
                  instancePath: instancePath + '/codes/' + i0 + '/shows',
                  schemaPath: '#/properties/codes/items/properties/shows/type',
                  keyword: 'type',
                  params: { type: 'string' },
                  message: 'must be string',
                };
                (vErrors === null ? (vErrors = [err31]) : vErrors.push(err31), errors++);
              }
            }
            if (data7.saw !== void 0) {
              let data10 = data7.saw;
              if (typeof data10 == 'string') {
                if (func2(data10) > 200) {
                  let err32 = {
                    instancePath: instancePath + '/codes/' + i0 + '/saw',
                    schemaPath: '#/properties/codes/items/properties/saw/maxLength',
                    keyword: 'maxLength',
                    params: { limit: 200 },
                    message: 'must NOT have more than 200 characters',
                  };
                  (vErrors === null ? (vErrors = [err32]) : vErrors.push(err32), errors++);
                }
                if (func2(data10) < 1) {
                  let err33 = {
                    instancePath: instancePath + '/codes/' + i0 + '/saw',
                    schemaPath: '#/properties/codes/items/properties/saw/minLength',
                    keyword: 'minLength',
                    params: { limit: 1 },
                    message: 'must NOT have fewer than 1 characters',
                  };
                  (vErrors === null ? (vErrors = [err33]) : vErrors.push(err33), errors++);
                }
              } else {
                let err34 = {
                  instancePath: instancePath + '/codes/' + i0 + '/saw',
                  schemaPath: '#/properties/codes/items/properties/saw/type',
                  keyword: 'type',
                  params: { type: 'string' },
                  message: 'must be string',
                };
                (vErrors === null ? (vErrors = [err34]) : vErrors.push(err34), errors++);
              }
            }
            if (data7.pattern !== void 0) {
              let data11 = data7.pattern;
              if (typeof data11 == 'string') {
                if (func2(data11) > 200) {
                  let err35 = {
                    instancePath: instancePath + '/codes/' + i0 + '/pattern',
                    schemaPath: '#/properties/codes/items/properties/pattern/maxLength',
                    keyword: 'maxLength',
                    params: { limit: 200 },
                    message: 'must NOT have more than 200 characters',
                  };
                  (vErrors === null ? (vErrors = [err35]) : vErrors.push(err35), errors++);
                }
              } else {
                let err36 = {
                  instancePath: instancePath + '/codes/' + i0 + '/pattern',
                  schemaPath: '#/properties/codes/items/properties/pattern/type',
                  keyword: 'type',
                  params: { type: 'string' },
                  message: 'must be string',
                };
                (vErrors === null ? (vErrors = [err36]) : vErrors.push(err36), errors++);
              }
            }
            if (data7.lockout !== void 0 && typeof data7.lockout != 'boolean') {
              let err37 = {
                instancePath: instancePath + '/codes/' + i0 + '/lockout',
                schemaPath: '#/properties/codes/items/properties/lockout/type',
                keyword: 'type',
                params: { type: 'boolean' },
                message: 'must be boolean',
              };
              (vErrors === null ? (vErrors = [err37]) : vErrors.push(err37), errors++);
            }
            if (data7.note !== void 0) {
              let data13 = data7.note;
              if (typeof data13 == 'string') {
                if (func2(data13) > 400) {
                  let err38 = {
                    instancePath: instancePath + '/codes/' + i0 + '/note',
                    schemaPath: '#/properties/codes/items/properties/note/maxLength',
                    keyword: 'maxLength',
                    params: { limit: 400 },
                    message: 'must NOT have more than 400 characters',
                  };
                  (vErrors === null ? (vErrors = [err38]) : vErrors.push(err38), errors++);
                }
              } else {
                let err39 = {
                  instancePath: instancePath + '/codes/' + i0 + '/note',
                  schemaPath: '#/properties/codes/items/properties/note/type',
                  keyword: 'type',
                  params: { type: 'string' },
                  message: 'must be string',
                };
                (vErrors === null ? (vErrors = [err39]) : vErrors.push(err39), errors++);
              }
            }
          } else {
            let err40 = {
              instancePath: instancePath + '/codes/' + i0,
              schemaPath: '#/properties/codes/items/type',
              keyword: 'type',
              params: { type: 'object' },
              message: 'must be object',
            };
            (vErrors === null ? (vErrors = [err40]) : vErrors.push(err40), errors++);
          }
        }
      } else {
        let err41 = {
          instancePath: instancePath + '/codes',
          schemaPath: '#/properties/codes/type',
          keyword: 'type',
          params: { type: 'array' },
          message: 'must be array',
        };
        (vErrors === null ? (vErrors = [err41]) : vErrors.push(err41), errors++);
      }
    }
    if (data.makes !== void 0) {
      let data14 = data.makes;
      if (Array.isArray(data14)) {
        if (data14.length > 50) {
          let err42 = {
            instancePath: instancePath + '/makes',
            schemaPath: '#/properties/makes/maxItems',
            keyword: 'maxItems',
            params: { limit: 50 },
            message: 'must NOT have more than 50 items',
          };
          (vErrors === null ? (vErrors = [err42]) : vErrors.push(err42), errors++);
        }
        let len1 = data14.length;
        for (let i1 = 0; i1 < len1; i1++) {
          let data15 = data14[i1];
          if (typeof data15 == 'string') {
            if (func2(data15) > 100) {
              let err43 = {
                instancePath: instancePath + '/makes/' + i1,
                schemaPath: '#/properties/makes/items/maxLength',
                keyword: 'maxLength',
                params: { limit: 100 },
                message: 'must NOT have more than 100 characters',
              };
              (vErrors === null ? (vErrors = [err43]) : vErrors.push(err43), errors++);
            }
            if (func2(data15) < 1) {
              let err44 = {
                instancePath: instancePath + '/makes/' + i1,
                schemaPath: '#/properties/makes/items/minLength',
                keyword: 'minLength',
                params: { limit: 1 },
                message: 'must NOT have fewer than 1 characters',
              };
              (vErrors === null ? (vErrors = [err44]) : vErrors.push(err44), errors++);
            }
          } else {
            let err45 = {
              instancePath: instancePath + '/makes/' + i1,
              schemaPath: '#/properties/makes/items/type',
              keyword: 'type',
              params: { type: 'string' },
              message: 'must be string',
            };
            (vErrors === null ? (vErrors = [err45]) : vErrors.push(err45), errors++);
          }
        }
      } else {
        let err46 = {
          instancePath: instancePath + '/makes',
          schemaPath: '#/properties/makes/type',
          keyword: 'type',
          params: { type: 'array' },
          message: 'must be array',
        };
        (vErrors === null ? (vErrors = [err46]) : vErrors.push(err46), errors++);
      }
    }
  } else {
    let err47 = {
      instancePath,
      schemaPath: '#/type',
      keyword: 'type',
      params: { type: 'object' },
      message: 'must be object',
    };
    (vErrors === null ? (vErrors = [err47]) : vErrors.push(err47), errors++);
  }
  return ((validate21.errors = vErrors), errors === 0);
}
export { validateCodePack };
